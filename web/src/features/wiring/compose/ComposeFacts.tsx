/** Between the hands: what the heap would make, or what is still open. */
import type { Lack, PartModel, Range } from '@junctor/core';
import { assemble, balanceOf, flyingWith, serialPortsLeft } from '@junctor/core';
import type { Build, Catalogue, Laid } from '@junctor/core';
import { useMemo } from 'react';
import { Fact } from '../../../ui/Frame';
import { Words } from '../../../ui/layout';
import type { Composing } from './useComposer';

interface ComposeFactsProps {
  build: Build;
  catalogue: Catalogue;
  /** null: not known yet. */
  cells: Range | null;
  lacks: readonly Lack[];
  composing: Composing;
  flying: { pack: PartModel | null; propeller: PartModel | null };
  laid: Laid | null;
}

export function ComposeFacts({ build, catalogue, cells, lacks, composing, flying, laid }: ComposeFactsProps) {
  const { pack, propeller } = flying;
  const { dry, ready, left } = useMemo(() => {
    const assembly = assemble(build, catalogue);
    const balance = balanceOf(assembly, {}, laid);
    const flies = pack && flyingWith(assembly, balance, { pack, propeller, laid });
    return { dry: balance.g, ready: flies, left: serialPortsLeft(assembly) };
  }, [build, catalogue, laid, pack, propeller]);
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
  const isWired = Object.keys(build.wires).length > 0;
  return (
    <>
      <Fact>
        <dt>cells</dt>
        <dd>{cellWords(cells)}</dd>
      </Fact>
      <Fact>
        <dt>{ready ? 'ready to fly' : 'dry'}</dt>
        <dd>{Math.round(middle(ready?.g ?? dry))} g</dd>
      </Fact>
      {ready?.thrust && (
        <Fact>
          <dt>pulls its weight</dt>
          <dd>{middle(ready.thrust.toWeight).toFixed(1)} times</dd>
        </Fact>
      )}
      {isWired && (
        <Fact>
          <dt>serial ports left</dt>
          <dd className="long">{left.length === 0 ? 'none' : left.map((port) => port.replace('/', ' ')).join(', ')}</dd>
        </Fact>
      )}
      {lacks.map(({ says }) => (
        <Fact key={says}>
          <dt>open</dt>
          <dd className="long">{says}</dd>
        </Fact>
      ))}
    </>
  );
}

function cellWords(cells: Range | null): string {
  if (!cells) return 'not said';
  return cells[0] === cells[1] ? String(cells[0]) : `${cells[0]} to ${cells[1]}`;
}

const middle = ([low, high]: Range) => (low + high) / 2;
