/** What is wrong in a file of rows, line by line. */
import type { CsvFault } from '../files/csvRows';
import { Lines } from './Sheet';
import { Alarm } from './layout';

interface CsvFaultsProps {
  label: string;
  /** What was refused as a whole: "the file". */
  refused: string;
  faults: readonly CsvFault[];
  atMost: number;
}

export function CsvFaults({ label, refused, faults, atMost }: CsvFaultsProps) {
  return (
    <>
      {faults.length > 0 && <Alarm>Nothing of the {refused} was taken</Alarm>}
      <Lines aria-label={label}>
        {faults.slice(0, atMost).map(({ line, message }, index) => (
          <li key={index}>
            <span>
              {line > 0 ? `line ${line}: ` : ''}
              {message}
            </span>
          </li>
        ))}
      </Lines>
    </>
  );
}
