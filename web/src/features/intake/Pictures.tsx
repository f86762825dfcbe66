/** Pictures of the quad as it came in: scaled here, kept in the shop. */
import { notesOf } from '@junctor/core';
import { useState } from 'react';
import { FileField } from '../../ui/form';
import type { Bench } from '../../bench/provider/bench';
import { keepPicture } from '../../files/picture';

export function Pictures({ bench }: { bench: Bench }) {
  const [problem, setProblem] = useState<string | null>(null);
  const pictures = notesOf(bench.state.log, 'picture').filter(({ record }) => record.body.of === 'intake');
  const take = async (file: File) => {
    const kept = await keepPicture(file);
    setProblem('problem' in kept ? kept.problem : null);
    if ('id' in kept) bench.record([{ saw: 'picture', of: 'intake', blob: kept.id }], null);
  };
  return (
    <>
      <h2>Pictures</h2>
      <FileField label="As it came in" accept="image/*" onFile={(file) => void take(file)} />
      {problem && (
        <p role="alert" style={{ fontWeight: 700 }}>
          ▲ {problem}
        </p>
      )}
      <p style={{ display: 'flex', gap: 8, paddingTop: 8 }}>
        {pictures.map(({ record }) => (
          <img
            key={record.id}
            src={`/api/pictures/${record.body.blob}`}
            alt={`as it came in, ${new Date(record.doneAt).toLocaleDateString('en-GB')}`}
            style={{ height: 110 }}
          />
        ))}
      </p>
    </>
  );
}
