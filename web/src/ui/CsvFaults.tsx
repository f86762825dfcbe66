/** What is wrong in a file of rows, line by line. */
import type { CsvFault } from '../files/csvRows';
import { Lines } from './Sheet';

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
      {faults.length > 0 && (
        <p role="alert" style={{ fontWeight: 700 }}>
          ▲ Nothing of the {refused} was taken
        </p>
      )}
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
