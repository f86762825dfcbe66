/** Between the hands: what the heap would make, or what is still open. */
import type { Flying, KitLine, Lack, Range } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { Words } from '../../../ui/layout';
import type { Composing } from './useComposer';

interface ComposeFactsProps {
  /** null: not known yet. */
  cells: Range | null;
  lacks: readonly Lack[];
  /** What it can be wired without. */
  wants: readonly Lack[];
  composing: Composing;
  isWired: boolean;
  /** Of what is drawn; without a pack it does not fly yet. */
  sums: { dryG: Range; flying: Flying | null; portsLeft: readonly string[]; screws: readonly KitLine[] };
}

export function ComposeFacts({ cells, lacks, wants, composing, isWired, sums }: ComposeFactsProps) {
  const { dryG, flying, portsLeft, screws } = sums;
  if (composing.is === 'running')
    return (
      <>
        <Fact>
          <dt>putting together</dt>
          <dd>{Math.round(composing.share * 100)} %</dd>
        </Fact>
        <progress max={1} value={composing.share} aria-label="Putting together" />
        <Words role="status">{composing.words}</Words>
      </>
    );
  return (
    <>
      <Fact>
        <dt>cells</dt>
        <dd>{cellWords(cells)}</dd>
      </Fact>
      <Fact>
        <dt>{flying ? 'ready to fly' : 'dry'}</dt>
        <dd>{Math.round(middle(flying?.g ?? dryG))} g</dd>
      </Fact>
      {flying?.thrust && (
        <Fact>
          <dt>pulls its weight</dt>
          <dd>{middle(flying.thrust.toWeight).toFixed(1)} times</dd>
        </Fact>
      )}
      {isWired && (
        <Fact>
          <dt>serial ports left</dt>
          <dd className="long">
            {portsLeft.length === 0 ? 'none' : portsLeft.map((port) => port.replace('/', ' ')).join(', ')}
          </dd>
        </Fact>
      )}
      {isWired && screws.length > 0 && (
        <Fact>
          <dt>screws</dt>
          <dd className="long">{screws.map(({ needed, name }) => `${needed} ${sizeOf(name)}`).join(', ')}</dd>
        </Fact>
      )}
      {[...lacks, ...wants].map(({ says }) => (
        <Fact key={says}>
          <dt>open</dt>
          <dd className="long">{says}</dd>
        </Fact>
      ))}
    </>
  );
}

/** "M3 x 22" of "stack screw M3 x 22". */
function sizeOf(name: string): string {
  return name.slice(name.indexOf('M'));
}

function cellWords(cells: Range | null): string {
  if (!cells) return 'not said';
  return cells[0] === cells[1] ? String(cells[0]) : `${cells[0]} to ${cells[1]}`;
}

const middle = ([low, high]: Range) => (low + high) / 2;
