/** The cut list: which wire is cut from which piece, in cutting order, to be worked off or printed. */
import type { CutPiece, CutWire } from '@junctor/core';
import { capital, cutNote, notesOf, ofJob, recordWords, terminalWords } from '@junctor/core';
import { useNavigate } from 'react-router';
import { jobPlaces } from '../../../addresses';
import { newId } from '../../../api/device';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { Lines, Sheet } from '../../../ui/Sheet';
import { Words } from '../../../ui/layout';
import { useCuts } from './useCuts';

export function CutsPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job } = bench;
  const cuts = useCuts();
  const list = cuts && cuts !== 'no frame' ? cuts.list : null;
  const said = notesOf(bench.state.log, 'cut').findLast(ofJob(job.id));
  const countOut = () => {
    if (list) bench.record([cutNote(list, countedWire(bench), newId)], null);
  };
  return (
    <Sheet
      place={`${job.quad}, cut list`}
      title={titleFor(list?.pieces.flatMap(({ wires }) => wires).length ?? null, {
        hasNoFrame: cuts === 'no frame',
        isCut: said !== undefined,
      })}
      note={`${job.quad}, ${job.title}, plan version ${job.plan.version}; by the way that each wire goes in the layout.`}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'b', label: 'To the bench', to: jobPlaces(job.id).now },
        { key: 'l', label: 'Layout', to: jobPlaces(job.id).layout },
        { key: 'p', label: 'Print it', act: () => window.print() },
        ...(list && list.pieces.length > 0 && !said
          ? [{ key: 'Enter', label: 'All cut: count it out', act: countOut }]
          : []),
      ]}
    >
      <section>
        {said && <Words role="status">{`${capital(recordWords(said.record, bench.state.asBuilt))}.`}</Words>}
        {list && cuts && cuts !== 'no frame' && (
          <>
            <Words>
              {`Off the reels ${metres(list.newMm)}${list.newMm > list.leastNewMm ? `; no list needs less than ${metres(list.leastNewMm)}` : ', which is the least'}. An offcut loses its tinned end, and a millimetre a cut.`}
            </Words>
            {list.pieces.map((piece) => (
              <div key={`${piece.offcut ?? 'reel'} ${piece.awg} ${piece.colour}`}>
                <h2>
                  {pieceTitle(
                    piece,
                    cuts.stock.get(piece.offcut ?? '')?.name,
                    cuts.stock.get(piece.offcut ?? '')?.place,
                  )}
                </h2>
                <Lines $columns="90px minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1.4fr)" aria-label="Cuts">
                  {piece.wires.map(({ wire, mm }) => (
                    <Cut key={wire} mm={mm} cut={cuts.wires.find((one) => one.wire === wire)!} />
                  ))}
                </Lines>
              </div>
            ))}
          </>
        )}
      </section>
    </Sheet>
  );
}

function Cut({ mm, cut: { from, to, runMm, slackMm, via } }: { mm: number; cut: CutWire }) {
  const { state } = useBench();
  return (
    <li>
      <strong>{mm} mm</strong>
      <span>{terminalWords(from, state.target)}</span>
      <span>{terminalWords(to, state.target)}</span>
      <span className="quiet">
        way {Math.round(runMm)} mm{via.length > 0 ? ` by ${via.join(', ')}` : ''}, slack {slackMm} mm
      </span>
    </li>
  );
}

/** What the kit has taken off reels, by its line. */
function countedWire({ state, job }: Bench) {
  const counted = notesOf(state.log, 'kit').filter(ofJob(job.id));
  return new Map(
    counted
      .map(({ record }) => record.body)
      .filter(({ line }) => line.startsWith('wire:'))
      .map(({ line, takes }) => [line, takes] as const),
  );
}

function titleFor(cuts: number | null, { hasNoFrame, isCut }: { hasNoFrame: boolean; isCut: boolean }): string {
  if (hasNoFrame) return 'This plan has no frame: no wire has a way';
  if (cuts === null) return 'The cut list is being made';
  if (cuts === 0) return 'Nothing is cut for this plan';
  return isCut ? `${cuts} wires, cut` : `${cuts} wires to cut`;
}

function pieceTitle({ offcut, awg, colour, leftMm }: CutPiece, name?: string, place?: string): string {
  if (offcut === null) return `From the reel: ${colour}, ${awg} AWG`;
  return `Offcut ${name ?? ''}${place ? `, ${place}` : ''}: ${leftMm} mm stay`;
}

const metres = (mm: number) => `${(mm / 1000).toFixed(2)} m`;
