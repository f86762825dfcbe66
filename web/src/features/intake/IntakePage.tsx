/** The intake sheet of a job: volts, motors, room, screws, how hard and how long, extras, weights, pictures. */
import type { Intake, PartModel } from '@junctor/core';
import {
  expectedLoss,
  extrasFor,
  failureChance,
  gradeJob,
  motorRisks,
  voltageWindow,
  weighedIn,
  assemble,
} from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { jobPlaces, places } from '../../addresses';
import { request } from '../../api/client';
import { keys } from '../../api/keys';
import { useModelIndex } from '../../api/stores';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { useBench } from '../../bench/provider/useBench';
import { useLayout } from '../../bench/provider/useLayout';
import { IntoTheFrame } from './IntoTheFrame';
import { KitFile } from './KitFile';
import { Pictures } from './Pictures';
import { Weight } from './Weight';
import { WeightsBefore } from './WeightsBefore';

const none: Intake = { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] };
const mark = { good: '●', middle: '◐', bad: '▲' } as const;

export function IntakePage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job, state, catalogue } = bench;
  const layout = useLayout(bench, null);
  const intake = job.intake ?? none;
  const candidates = useCandidates();
  const { target, cells } = job.plan;
  const judged = useMemo(
    () => ({
      volts: voltageWindow(assemble(target, catalogue), cells),
      motors: motorRisks(assemble(target, catalogue), cells),
      grade: gradeJob(state.start, assemble(target, catalogue), state.steps),
    }),
    [target, cells, catalogue, state],
  );
  const weighed = useMemo(() => weighedIn(state.log), [state.log]);
  const propeller = candidates.find(({ id }) => id === intake.propeller) ?? null;
  const packs = useMemo(
    () =>
      candidates.filter(
        ({ kind, cells: pack }) => kind === 'pack' && pack && pack.series >= cells[0] && pack.series <= cells[1],
      ),
    [candidates, cells],
  );
  const extras = extrasFor(assemble(target, catalogue), candidates, intake.valueMinor);
  const money = (minor: number) => (minor / 100).toLocaleString('en-GB', { maximumFractionDigits: 0 });
  const { grade } = judged;
  return (
    <Sheet
      place={`${job.quad}, intake`}
      title={intake.wants ? `“${intake.wants}”` : `${job.quad}: what it came in for`}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'Enter', label: 'Take it to the bench', to: jobPlaces(job.id).now },
        { key: 'p', label: 'Parts', to: jobPlaces(job.id).compose() },
        { key: 'l', label: 'Layout', to: jobPlaces(job.id).layout },
        { key: 'c', label: 'Cut list', to: jobPlaces(job.id).cuts },
        { key: 'w', label: 'Weight classes', to: places.weightClasses },
        { key: 't', label: 'Keep as a template', to: jobPlaces(job.id).keepTemplate },
        { key: 'q', label: 'Quad book', to: places.quadBook(job.quadId) },
      ]}
      note={`${job.customer}, ${job.title}, ${cells[1]} cells${intake.valueMinor > 0 ? `, ${money(intake.valueMinor)} at risk` : ''}.`}
    >
      <Columns>
        <section>
          <h2>Volts from the empty to the full pack</h2>
          <Lines $columns="150px 130px 1fr" aria-label="Volts">
            {judged.volts.map(({ slot, printed, takesV, from, emptyV, fullV, verdict }) => (
              <li key={`${slot}${printed}`}>
                <span>
                  {verdict === 'fits' ? mark.good : mark.bad} {slot} {printed}
                </span>
                <span className="quiet">
                  {takesV[0]} to {takesV[1]} V
                </span>
                <span>
                  {from === null
                    ? 'not fed'
                    : `${emptyV!.toFixed(1)} to ${fullV!.toFixed(1)} V from ${from === 'battery' ? 'the battery' : from}`}
                  {verdict === 'fits' ? '' : <strong>, {verdict}</strong>}
                </span>
              </li>
            ))}
          </Lines>
          <h2>Motors on this ESC</h2>
          <Lines aria-label="Motors">
            {judged.motors.map(({ motor, freeRpm, electricalRpm, band, message }) => (
              <li key={motor}>
                <span>
                  {bandMarkOf(band)} <strong>{band}</strong>: {motor}, {Math.round(freeRpm / 100) * 100} turns a minute
                  unloaded, {Math.round(electricalRpm / 1000)} k electrical. {message}.
                  {intake.valueMinor > 0 &&
                    ` A failure is assumed in ${Math.round(failureChance[band] * 100)} of 100 quads: expected loss ${money(expectedLoss(0, failureChance[band], intake.valueMinor).lossMinor)}; a cheaper motor must save more.`}
                </span>
              </li>
            ))}
            {judged.motors.length === 0 && <li>No motor speed is known.</li>}
          </Lines>
          <h2>Into the frame</h2>
          <IntoTheFrame layout={layout} />
          <KitFile bench={bench} />
        </section>
        <section>
          <h2>How hard and how long</h2>
          <Lines aria-label="Grade">
            <li>
              <span>
                <strong>{grade.word}</strong>: {grade.message}.
              </span>
            </li>
            <li>
              <span>
                {grade.joints.signal} signal, {grade.joints.motor} motor and {grade.joints.power} power joints,{' '}
                {grade.crimps} crimps, {grade.plugs} {grade.plugs === 1 ? 'plug' : 'plugs'}
                {grade.smallestPad
                  ? `; smallest pad ${grade.smallestPad.terminal}, ${grade.smallestPad.widthMm} mm`
                  : ''}
              </span>
            </li>
            <li>
              <span>
                <strong>
                  {grade.minutes.least} to {grade.minutes.most} min
                </strong>{' '}
                at the bench. Starting values: the shop has no times of its own yet.
              </span>
            </li>
            {grade.plugsSaveMinutes !== null && (
              <li>
                <span>
                  Plugging saves about {grade.plugsSaveMinutes} min of soldering; each plug is looked into for a bent
                  pin.
                </span>
              </li>
            )}
          </Lines>
          <h2>Extras worth having</h2>
          <Lines aria-label="Extras">
            {extras.map(({ what, there, massG, typicalA, serialPorts, freePorts, savesMinor, message }) => (
              <li key={what}>
                <span>
                  {there ? mark.good : '○'} {what}: {massG} g, {Math.round(typicalA * 1000)} mA, {serialPorts} of{' '}
                  {freePorts} free ports; {message}
                  {!there && savesMinor > 0 ? `, ${money(savesMinor)} in a hundred flights at one loss in 200` : ''}
                </span>
              </li>
            ))}
          </Lines>
          <h2>Weight</h2>
          <Weight
            weighed={weighed}
            packs={packs}
            chosen={intake.pack}
            propeller={propeller}
            laid={layout && layout !== 'no frame' ? layout.planned.laid : null}
          />
          <WeightsBefore bench={bench} weighed={weighed} />
          <Pictures bench={bench} />
        </section>
      </Columns>
    </Sheet>
  );
}

function bandMarkOf(band: 'easy' | 'near the limit' | 'over the limit' | 'not known') {
  if (band === 'easy') return mark.good;
  if (band === 'near the limit') return mark.middle;
  return mark.bad;
}

/** Models that extras, packs and propellers are chosen from. */
function useCandidates(): readonly PartModel[] {
  const index = useModelIndex().data ?? [];
  const wanted = index
    .filter(
      ({ kind, retired }) => !retired && ['positioning', 'buzzer', 'receiver', 'pack', 'propeller'].includes(kind),
    )
    .slice(0, 250)
    .map(({ id, revision }) => ({ model: id, revision }));
  return (
    useQuery({
      queryKey: keys.candidates(wanted),
      enabled: wanted.length > 0,
      staleTime: Infinity,
      queryFn: () => request<PartModel[]>('POST', '/catalogue/models', { wanted }),
    }).data ?? []
  );
}
