/** A fault: what was wrong, where, why, what was done, what it cost. New, or one that is known and told better. */
import type { Damage, FaultEntry } from '@junctor/core';
import { damages, findFault, judgeDamage, sameJson, siteWords } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useSearchParams } from 'react-router';
import { keepPicture } from '../../../files/picture';
import { AnswerRow } from '../../../ui/Answers';
import { Head } from '../../../ui/Head';
import {
  ChoiceField,
  FileField,
  FormPage,
  FormProblem,
  NumberTextField,
  SubmitButton,
  typedNumber,
  WordsField,
} from '../../../ui/form';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { Judged } from './FaultJudged';
import { likelySites, partAt, replacedAt } from './faultSites';

export function Fault() {
  const bench = useBench();
  const doors = useDoors();
  const search = useSearchParams()[0];
  const of = search.get('of');
  const known = of === null ? null : findFault(bench.state.log, of);
  const before = known?.record.body.fault ?? null;
  const symptom = before?.symptom ?? search.get('symptom') ?? '';
  const { target, current } = bench.state;
  const sites = likelySites(bench, before);
  const [problem, setProblem] = useState<{ field: 'symptom' | 'accept' | 'picture'; message: string } | null>(null);
  const [at, setAt] = useState(Math.max(0, before ? sites.findIndex((site) => sameJson(site, before.site)) : 0));
  const [looks, setLooks] = useState<Damage | ''>('');
  const site = sites[at] ?? sites[0]!;
  const part = partAt(bench, site);
  const judged = looks && part ? judgeDamage(looks, part, bench.state.asBuilt) : null;
  const replaced = replacedAt(bench, site);
  const lead = bench.person.role === 'lead';
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    if (!text('symptom')) return setProblem({ field: 'symptom', message: 'Say what was seen or heard' });
    const accepted = text('accept');
    if (accepted && accepted.length < 3) return setProblem({ field: 'accept', message: 'Say why in a few words' });
    const file = data.get('picture') as File | null;
    const kept = file && file.size > 0 ? await keepPicture(file) : null;
    if (kept && 'problem' in kept) return setProblem({ field: 'picture', message: kept.problem });
    const defect = looks || before?.defect;
    const fault: FaultEntry = {
      symptom: text('symptom'),
      site,
      cause: text('cause'),
      ...(defect ? { defect } : {}),
      partsReplaced: replaced.map(({ id }) => id),
      done: text('done'),
      minutes: Math.max(0, typedNumber(text('minutes')) || 0),
      costMinor: Math.max(0, Math.round((typedNumber(text('cost')) || 0) * 100)),
      state: accepted ? 'accepted' : (before?.state ?? 'found'),
      ...(before?.mendedBy ? { mendedBy: before.mendedBy } : {}),
      ...(before?.provedBy ? { provedBy: before.provedBy } : {}),
      ...(accepted ? { acceptedBecause: accepted } : {}),
      ...(kept || before?.pictures ? { pictures: [...(before?.pictures ?? []), ...(kept ? [kept.id] : [])] } : {}),
    };
    bench.record([{ saw: 'fault', fault }], current?.id ?? null, known?.record.id);
    doors.leave();
  };
  const error = (field: 'symptom' | 'accept') => (problem?.field === field ? problem.message : null);
  return (
    <FormPage
      onSubmit={(event) => void submit(event)}
      title={before ? 'Tell the fault better' : 'Log a fault'}
      head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}
      wide
    >
      <WordsField
        name="symptom"
        label="What was seen or heard"
        defaultValue={symptom}
        autoFocus
        error={error('symptom')}
      />
      <ChoiceField
        name="site"
        label="Where"
        options={sites.map((one, index) => ({ value: String(index), label: siteWords(one, target) }))}
        value={String(at)}
        onChange={(value) => setAt(Number(value))}
      />
      <WordsField name="cause" label="Why, as far as known" defaultValue={before?.cause ?? ''} />
      <ChoiceField
        name="looks"
        label="It looks like"
        options={[
          { value: '', label: 'nothing of this' },
          ...damages.map((damage) => ({ value: damage, label: damage })),
        ]}
        value={looks}
        onChange={(value) => setLooks(value as Damage | '')}
      />
      <WordsField name="done" label="What was done" defaultValue={before?.done ?? ''} />
      <NumberTextField name="minutes" label="Minutes it cost" defaultValue={before ? String(before.minutes) : ''} />
      <NumberTextField
        name="cost"
        label="What it cost, in money"
        defaultValue={before ? String(before.costMinor / 100) : ''}
      />
      <FileField name="picture" label="A picture of it" accept="image/*" />
      {lead && <WordsField name="accept" label="Left as it is, because (a lead’s word)" error={error('accept')} />}
      {judged && <Judged {...judged} />}
      {replaced.length > 0 && <p>Replaced here: {replaced.map(({ words }) => words).join(', ')}.</p>}
      <FormProblem message={problem?.field === 'picture' ? `The picture is not kept: ${problem.message}` : null} />
      <SubmitButton>{before ? 'Keep it so' : 'Log the fault'}</SubmitButton>
      <AnswerRow answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.leave() }]} />
    </FormPage>
  );
}
