/** The tree of supplies with its margins: what each rail carries, at the empty and the full pack, by stage of power. */
import type { PowerStage, Rail } from '@junctor/core';
import { planShare, railWords, supplyTree, usbLimitA, assemble } from '@junctor/core';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { railsAtOnce, SupplyTree } from '../../drawing/SupplyTree';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { JobFrame } from '../../bench/frame/JobFrame';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';

const stages: readonly PowerStage[] = ['pack', 'limited, all', 'limited, dear units unplugged', 'usb'];
const linesOnTheRight = 11;
const List = styled.ul`
  font-size: 18px;
  line-height: 25px;
  padding-top: 8px;
  li {
    padding: 4px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
    display: flex;
    justify-content: space-between;
    gap: 12px;
  }
`;

export function SuppliesPage() {
  const bench = useBench();
  const doors = useDoors();
  const { target, cells } = bench.job.plan;
  const [stage, setStage] = useState<PowerStage>('pack');
  const [at, setAt] = useState(0);
  const tree = useMemo(
    () => supplyTree(assemble(target, bench.catalogue), cells, stage),
    [target, bench.catalogue, cells, stage],
  );
  const rail = tree.rails[Math.min(at, tree.rails.length - 1)];
  const tight = tree.rails.filter((rail) => verdictOf(rail) !== 'room to spare');
  const answers: Answer[] = [
    { key: 'Escape', label: 'To the wiring', act: () => doors.close(doors.places.wiring()) },
    {
      key: 'ArrowUp',
      also: ['-'],
      label: 'Rail before',
      act: () => setAt((at - 1 + tree.rails.length) % tree.rails.length),
    },
    { key: 'ArrowDown', also: ['+'], label: 'Rail after', act: () => setAt((at + 1) % tree.rails.length) },
    {
      key: 'Enter',
      label: `Stage: ${stageWords(stage)}`,
      main: true,
      act: () => setStage(stages[(stages.indexOf(stage) + 1) % stages.length]!),
    },
  ];
  return (
    <JobFrame
      place="Supplies"
      shown={bench.state.current}
      answers={answers}
      sentence={
        tight.length === 0 ? (
          'Every rail has room to spare'
        ) : (
          <>
            Look at <strong>{tight.map((rail) => railWords(rail, tree.rails)).join(', ')}</strong>
          </>
        )
      }
      under={
        stage === 'usb'
          ? `On USB alone ${tree.usb.typical.toFixed(2)} A of ${usbLimitA} A are drawn, ${tree.usb.peak.toFixed(2)} A at peaks.`
          : `Counted at the empty pack, ${tree.packV[0].toFixed(1)} V: there a step-down regulator takes most. Motors are not counted.`
      }
      left={{
        title: 'supplies',
        note: `ink typical, hatch peak, mark three quarters of the limit${tree.rails.length > railsAtOnce ? `; ${Math.min(at, tree.rails.length - 1) + 1} of ${tree.rails.length}` : ''}`,
        body: <SupplyTree rails={tree.rails} current={rail ?? null} />,
      }}
      crossing={
        rail ? (
          <>
            <Fact>
              <dt>gives</dt>
              <dd className="long">
                {rail.volts[0] === rail.volts[1] ? '' : `${rail.volts[0].toFixed(1)} to `}
                {rail.volts[1].toFixed(1)} V
              </dd>
            </Fact>
            <Fact>
              <dt>limit</dt>
              <dd className="long">
                {rail.limitA === null ? 'the pack’s' : `${rail.limitA} A, ${rail.stillAirA} A in still air`}
              </dd>
            </Fact>
            {rail.limitA !== null && (
              <Fact>
                <dt>plan to</dt>
                <dd>{(rail.limitA * planShare).toFixed(2)} A</dd>
              </Fact>
            )}
            {rail.slot && (
              <Fact>
                <dt>takes, empty to full</dt>
                <dd className="long">
                  {rail.in.empty.typical.toFixed(2)} to {rail.in.full.typical.toFixed(2)} A
                </dd>
              </Fact>
            )}
            {rail.slot && (
              <Fact>
                <dt>heat in it</dt>
                <dd>{rail.heatW.toFixed(1)} W</dd>
              </Fact>
            )}
          </>
        ) : null
      }
      right={{
        title: rail ? `what ${railWords(rail, tree.rails)} feeds` : '',
        note: rail
          ? `idle ${rail.out.empty.idle.toFixed(2)} A, typical ${rail.out.empty.typical.toFixed(2)} A, peak ${rail.out.empty.peak.toFixed(2)} A; ${verdictOf(rail)}`
          : '',
        body: rail ? <Draws rail={rail} rails={tree.rails} /> : null,
      }}
    />
  );
}

function stageWords(stage: PowerStage): string {
  return {
    off: 'off',
    usb: 'USB only',
    'limited, dear units unplugged': 'video unplugged',
    'limited, all': 'limited, all',
    pack: 'pack',
  }[stage];
}

function verdictOf({ out, limitA, stillAirA }: Rail): string {
  if (limitA === null) return 'room to spare';
  if (out.empty.typical > limitA) return 'overloaded';
  if (out.empty.peak > limitA) return 'overloaded at peaks';
  if (out.empty.typical > limitA * planShare) return 'over three quarters';
  return out.empty.typical > (stillAirA ?? Infinity) ? 'needs airflow' : 'room to spare';
}

/** What hangs on a rail; parts that draw alike stand in one line. */
function Draws({ rail, rails }: { rail: Rail; rails: readonly Rail[] }) {
  const lines = [
    ...alike(
      rail.draws.map(({ slot, load, typical, peak }) => ({
        slot,
        what: `, ${load.toLowerCase()}`,
        amps: `${typical.toFixed(2)} A, peak ${peak.toFixed(2)} A`,
      })),
    ),
    ...alike(
      rails
        .filter(({ parent }) => parent === rail.id)
        .map((child) => ({
          slot: child.slot ?? '',
          what: railWords(child, rails).slice(child.slot?.length),
          amps: `takes ${child.in.empty.typical.toFixed(2)} A at the empty pack`,
        })),
    ),
  ];
  return (
    <List aria-label="What it feeds">
      {lines.slice(0, linesOnTheRight).map(({ message, amps }) => (
        <li key={message}>
          <span>{message}</span>
          <span>{amps}</span>
        </li>
      ))}
      {lines.length > linesOnTheRight && <li>and {lines.length - linesOnTheRight} more</li>}
      {lines.length === 0 && <li>nothing</li>}
    </List>
  );
}

/** "ESC1 to ESC8, idle: each 0.04 A, peak 0.06 A". */
function alike(list: readonly { slot: string; what: string; amps: string }[]): { message: string; amps: string }[] {
  const groups = new Map<string, { slots: string[]; what: string; amps: string }>();
  for (const { slot, what, amps } of list) {
    const key = `${slot.replace(/\d+$/, '')}${what}${amps}`;
    groups.set(key, { slots: [...(groups.get(key)?.slots ?? []), slot], what, amps });
  }
  return [...groups.values()].map(({ slots, what, amps }) =>
    slots.length > 1
      ? { message: `${slots[0]} to ${slots.at(-1)}${what}`, amps: `each ${amps}` }
      : { message: `${slots[0]}${what}`, amps },
  );
}
