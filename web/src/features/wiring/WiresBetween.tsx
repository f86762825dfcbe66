/** The wires of a board between the two hands. */
import { jointName } from '@junctor/core';
import { KeyCap } from '../../ui/Plate';
import type { Bench } from '../job/useBench';
import type { WalkedEnd } from './landings';
import { endWords } from './landings';
import type { Walk } from './useWalk';
import { Wires, Own, room } from './WiringView';

/** The ends near this one, what this wire is, and that rules object elsewhere. */
export function WiresBetween({
  bench,
  walk: { ends, place, findings },
  here,
}: {
  bench: Bench;
  walk: Walk;
  here: WalkedEnd;
}) {
  const open = findings.all.filter(({ waiver }) => waiver === null).length;
  return (
    <>
      <Wires aria-label="Ends of wires">
        {ends
          .slice(Math.max(0, Math.min(place - 6, ends.length - room)))
          .slice(0, room)
          .map((one) => (
            <li key={jointName(one.wire.id, one.end)} aria-current={one === here}>
              {endWords(bench, one)}
            </li>
          ))}
      </Wires>
      <Own aria-label="This wire">
        {here.planned && (
          <li>
            <KeyCap>C</KeyCap>
            <span>
              {here.wire.colour}, {here.wire.awg} AWG{here.wire.lengthMm === null ? '' : `, ${here.wire.lengthMm} mm`}
            </span>
          </li>
        )}
        {open > 0 && (
          <li>
            <KeyCap>N</KeyCap>
            <span>
              ▲ {open} {open === 1 ? 'finding' : 'findings'}, not here
            </span>
          </li>
        )}
      </Own>
    </>
  );
}
