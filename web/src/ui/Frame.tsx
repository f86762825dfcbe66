/**
 * The frame of every screen inside a job: one sentence, left hand, crossing, right hand, one row of answers, the cord.
 */
import type { ReactNode } from 'react';
import styled from 'styled-components';

/** What the two hands hold and what is between them; or one thing held in both. */
export type Held = { left: Hand; crossing: ReactNode; right: Hand } | { both: Hand };

type FrameProps = Held & {
  head: ReactNode;
  sentence: ReactNode;
  under: ReactNode;
  answers: ReactNode;
  cord: ReactNode;
};

export interface Hand {
  title: string;
  note: string;
  body: ReactNode;
}

const Page = styled.main`
  height: 100vh;
  min-height: 800px;
  width: 100%;
  display: grid;
  overflow: hidden;
  grid-template-rows: 44px 60px 36px minmax(430px, 1fr) 92px 110px;
`;
const Sentence = styled.h1`
  padding: 0 24px;
  font-size: 33px;
  line-height: 60px;
  font-weight: 400;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  @media (max-width: 1400px) {
    font-size: 31px;
  }
`;
const Under = styled.p`
  padding: 0 24px;
  font-size: 20px;
  line-height: 32px;
  color: ${({ theme }) => theme.quiet};
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  strong {
    color: ${({ theme }) => theme.ink};
  }
`;
const Hands = styled.div<{ $one?: boolean }>`
  display: grid;
  grid-template-columns: ${({ $one }) => ($one ? 'minmax(0, 1fr)' : 'minmax(0, 1fr) 192px minmax(0, 1fr)')};
  padding: 0 24px;
  min-height: 0;
`;
const Panel = styled.section`
  border: 1.5px solid ${({ theme }) => theme.edge};
  border-radius: 6px;
  background: ${({ theme }) => theme.paper};
  padding: 10px 14px;
  min-height: 0;
  overflow: hidden;
  display: flex;
  flex-direction: column;
  h2 {
    font-size: 20px;
    line-height: 24px;
  }
  h2 + p {
    font-size: 17px;
    line-height: 22px;
    color: ${({ theme }) => theme.quiet};
  }
`;
const Body = styled.div`
  flex: 1;
  min-height: 0;
  position: relative;
`;
const Crossing = styled.div`
  padding: 4px 10px;
  text-align: center;
  overflow: hidden;
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 8px;
`;
const Answers = styled.div`
  padding: 10px 24px 6px;
  display: flex;
  gap: 10px;
`;

export function Frame({ head, sentence, under, answers, cord, ...held }: FrameProps) {
  return (
    <Page>
      {head}
      <Sentence aria-live="polite" data-testid="sentence">
        {sentence}
      </Sentence>
      <Under data-testid="under">{under}</Under>
      {'both' in held ? (
        <Hands $one>
          <HandPanel side="In both hands" {...held.both} />
        </Hands>
      ) : (
        <Hands>
          <HandPanel side="Left hand" {...held.left} />
          <Crossing>{held.crossing}</Crossing>
          <HandPanel side="Right hand" {...held.right} />
        </Hands>
      )}
      <Answers>{answers}</Answers>
      {cord}
    </Page>
  );
}

function HandPanel({ side, title, note, body }: Hand & { side: string }) {
  return (
    <Panel aria-label={`${side}: ${title}`}>
      <h2>
        {side}: {title}
      </h2>
      <p>{note}</p>
      <Body>{body}</Body>
    </Panel>
  );
}

export const Fact = styled.dl`
  dt {
    font-size: 16px;
    color: ${({ theme }) => theme.quiet};
    line-height: 20px;
  }
  dd {
    font-size: 25px;
    font-weight: 700;
    line-height: 28px;
  }
  dd.long {
    font-size: 17px;
    line-height: 21px;
  }
`;
