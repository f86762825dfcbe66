/** The picture that was taken before something came off or was hidden, beside the bare board. */
import { notesOf, ofJob } from '@junctor/core';
import styled from 'styled-components';
import { useBench } from '../../bench/provider/useBench';

const Small = styled.a`
  display: block;
  img {
    width: 100%;
    max-height: 120px;
    object-fit: cover;
    border: 1.5px solid ${({ theme }) => theme.edge};
  }
`;

/** The newest of this job that is of one of these parts, else that of the old wiring; nothing where there is none. */
export function PictureBefore({ slots }: { slots: readonly string[] }) {
  const { state, job } = useBench();
  const own = notesOf(state.log, 'picture').filter(ofJob(job.id));
  const found =
    own.findLast(({ record }) => slots.some((slot) => record.body.of.startsWith(`${slot} before`))) ??
    own.findLast(({ record }) => record.body.of === 'the old wiring');
  return found ? (
    <Small href={`/api/pictures/${found.record.body.blob}`} target="_blank" rel="noreferrer">
      <img src={`/api/pictures/${found.record.body.blob}`} alt={`picture: ${found.record.body.of}`} />
    </Small>
  ) : null;
}
