/** Log a fault: what was wrong, where, why, what was done. */
import type { Damage, DamageJudged, FaultEntry, Site } from '@junctor/core';
import { damages, judgeDamage, landedOn, siteWords, splitJoint, splitRef } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useSearchParams } from 'react-router';
import { AnswerRow } from '../../../ui/Answers';
import { Head } from '../../../ui/Head';
import { ChoiceField, FormPage, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../../ui/form';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { Words } from '../../../ui/layout';

export function Fault() {
  const bench = useBench();
  const doors = useDoors();
  const symptom = useSearchParams()[0].get('symptom') ?? '';
  const { target, current } = bench.state;
  const sites = likelySites(bench);
  const [missing, setMissing] = useState(false);
  const [at, setAt] = useState(0);
  const [looks, setLooks] = useState<Damage | ''>('');
  const part = partAt(bench, sites[at] ?? sites[0]!);
  const judged = looks && part ? judgeDamage(looks, part, bench.state.asBuilt) : null;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    if (!text('symptom')) {
      setMissing(true);
      return;
    }
    const fault: FaultEntry = {
      symptom: text('symptom'),
      site: sites[Number(text('site'))] ?? sites[0]!,
      cause: text('cause'),
      ...(looks ? { defect: looks } : {}),
      partsReplaced: [],
      done: text('done'),
      minutes: Math.max(0, typedNumber(text('minutes')) || 0),
      costMinor: 0,
      state: text('state') as FaultEntry['state'],
    };
    bench.record([{ saw: 'fault', fault }], current?.id ?? null);
    doors.leave();
  };
  return (
    <FormPage onSubmit={submit} title="Log a fault" head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}>
      <WordsField
        name="symptom"
        label="What was seen or heard"
        defaultValue={symptom}
        autoFocus
        error={missing ? 'Say what was seen or heard' : null}
      />
      <ChoiceField
        name="site"
        label="Where"
        options={sites.map((site, index) => ({ value: String(index), label: siteWords(site, target) }))}
        onChange={(value) => setAt(Number(value))}
      />
      <ChoiceField
        name="looks"
        label="It looks like"
        options={[
          { value: '', label: 'nothing of this' },
          ...damages.map((damage) => ({ value: damage, label: damage })),
        ]}
        onChange={(value) => setLooks(value as Damage | '')}
      />
      {judged && <Judged {...judged} />}
      <WordsField name="cause" label="Why, as far as known" />
      <WordsField name="done" label="What was done" />
      <NumberTextField name="minutes" label="Minutes it cost" />
      <ChoiceField
        name="state"
        label="It is"
        options={[
          { value: 'found', label: 'found, still open' },
          { value: 'mended', label: 'mended' },
          { value: 'accepted', label: 'accepted as it is' },
        ]}
      />
      <SubmitButton>Log the fault</SubmitButton>
      <AnswerRow answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.leave() }]} />
    </FormPage>
  );
}

function Judged({ replace, suspect, because, first, joints, minutes }: DamageJudged) {
  return (
    <Words role="status">
      <strong>Replace {replace.join(' and ')}:</strong> {because}.{' '}
      {suspect.length > 0 ? `Read ${suspect.join(', ')} as well. ` : ''}First: {first}. {joints} joints, about {minutes}{' '}
      min at the bench; prices of parts are not kept here.
    </Words>
  );
}

/** The part that a place belongs to; null in between. */
function partAt({ state: { asBuilt } }: Bench, site: Site): string | null {
  if ('slot' in site) return site.slot in asBuilt.build.slots ? site.slot : null;
  const wire = 'wire' in site ? asBuilt.build.wires[site.wire] : undefined;
  const ref = wire && (wire.tailOf ?? wire.ends.map(landedOn).find((ref) => ref !== null));
  const slot = ref && splitRef(ref).slot;
  return slot && slot in asBuilt.build.slots ? slot : null;
}

/** Where the hands are now: the step's own joint or touch, the last joints made, the parts. */
function likelySites(bench: Bench): Site[] {
  const { current, log, asBuilt } = bench.state;
  const own: Site[] = [];
  if (current?.about.kind === 'touch') {
    const { black, red } = current.about.listed.touch;
    own.push({ between: [black, red] });
  }
  const joints = [...new Set(log.acts.flatMap(({ joints: made }) => made))].reverse();
  const soldered = joints.flatMap((name): Site[] => {
    const joint = splitJoint(name);
    const wire = joint && asBuilt.build.wires[joint.wire];
    return joint && wire && landedOn(wire.ends[joint.end]) ? [{ wire: joint.wire, end: joint.end }] : [];
  });
  return [...own, ...soldered.slice(0, 12), ...Object.keys(asBuilt.build.slots).map((slot): Site => ({ slot }))];
}
