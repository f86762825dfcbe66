/** Pictures of the quad as it came in: scaled here, kept in the shop. */
import { notesOf } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import { whenWords } from '../../ui/when';
import { FileField } from '../../ui/form';
import type { Bench } from '../../bench/provider/bench';
import { keepPicture } from '../../files/picture';
import { Alarm } from '../../ui/layout';

const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 8px;
  img {
    height: 110px;
  }
`;

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
      {problem && <Alarm>{problem}</Alarm>}
      <Strip>
        {pictures.map(({ record }) => (
          <img
            key={record.id}
            src={`/api/pictures/${record.body.blob}`}
            alt={`as it came in, ${whenWords(record.doneAt)}`}
          />
        ))}
      </Strip>
    </>
  );
}
