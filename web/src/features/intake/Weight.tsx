/** What it will weigh, where its pack must lie, what its motors make of it: with any pack of its cells. */
import type { Flying, Laid, PartModel } from '@junctor/core';
import { assemble, balanceOf, centreWords, flyingWith, packWords, thrustWords, weightClassOf } from '@junctor/core';
import { useMemo } from 'react';
import { useWeightClasses } from '../../api/queries';
import { useBench } from '../../bench/provider/useBench';
import { Lines } from '../../ui/Sheet';

interface WeightProps {
  weighed: Readonly<Record<string, number>>;
  packs: readonly PartModel[];
  /** The one that it flies with, where that is said. */
  chosen: string | null;
  propeller: PartModel | null;
  /** How its parts lie; null while that is searched, and without a frame. */
  laid: Laid | null;
}

export function Weight({ weighed, packs, chosen, propeller, laid }: WeightProps) {
  const { job, catalogue } = useBench();
  const classes = useWeightClasses().data?.classes ?? [];
  const { target } = job.plan;
  const { dry, flying } = useMemo(() => {
    const assembly = assemble(target, catalogue);
    const balance = balanceOf(assembly, weighed, laid);
    return { dry: balance, flying: packs.map((pack) => flyingWith(assembly, balance, { pack, propeller, laid })) };
  }, [target, catalogue, weighed, packs, propeller, laid]);
  return (
    <Lines aria-label="Weight">
      <li>
        <span>
          Planned, dry: <strong>{grams(dry.g)}</strong>
          {dry.centre ? `, its centre ${centreWords(dry.centre)}` : ''}
          {propeller ? '' : '; propellers not said'}
        </span>
      </li>
      {flying.map((one) => (
        <li key={one.pack.id}>
          <span>
            {one.pack.id === chosen ? <strong>{one.pack.name}</strong> : one.pack.name}: {grams(one.g)} ready to fly;
            class: {weightClassOf(classes, one.g) ?? 'none said'}
            {one.pack.id === chosen ? <br /> : null}
            {one.pack.id === chosen ? inFlight(one) : null}
          </span>
        </li>
      ))}
    </Lines>
  );
}

const grams = ([low, high]: readonly [number, number]) => `${low.toFixed(0)} to ${high.toFixed(0)} g`;

function inFlight({ packAt, thrust }: Flying): string {
  const pack = packAt ? `For balance ${packWords(packAt)}.` : '';
  return `${pack} ${thrust ? `By the motors’ table it ${thrustWords(thrust)}.` : 'No motor says what it pulls with these propellers.'}`;
}
