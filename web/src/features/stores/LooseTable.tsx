/** What a meter must read on the loose part, computed off the page. */
import type { LooseReading, Meter, PartModel } from '@junctor/core';
import { bandWords, passesWords } from '@junctor/core';
import { useEffect, useState } from 'react';
import { compute } from '../../compute/compute';
import { Lines } from '../../ui/Sheet';

export function LooseTable({ model, meter }: { model: PartModel; meter: Meter }) {
  const [readings, setReadings] = useState<readonly LooseReading[] | null>(null);
  useEffect(() => {
    let gone = false;
    void compute()
      .loose(model, meter)
      .then((found) => !gone && setReadings(found));
    return () => {
      gone = true;
    };
  }, [model, meter]);
  if (!readings) return <p role="status">Computing the signature.</p>;
  if (readings.length === 0) return <p>Nothing on it can be measured loose.</p>;
  return (
    <Lines $columns="150px 70px 1fr" aria-label="Signature">
      {readings.map(({ black, red, mode, why, expected }) => {
        const wantedOf = () => {
          if (expected.from === 'none') return 'not known: record only';
          if (expected.band) return bandWords(expected.band, mode);
          return passesWords(expected.passes);
        };
        return (
          <li key={`${black.id}${red.id}${mode}`}>
            <span>
              {black.printed} to {red.printed}
            </span>
            <span className="quiet">{mode}</span>
            <span>
              {wantedOf()} <span className="quiet">{why}</span>
            </span>
          </li>
        );
      })}
    </Lines>
  );
}
