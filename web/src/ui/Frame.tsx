/**
 * The frame of every screen inside a job: one sentence, left hand, crossing, right hand, one row of answers, the cord.
 * On an upright tablet the hands stand one above the other.
 */
import { useRef } from 'react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { PanelBoundary } from './PanelBoundary';
import { upright } from './theme';
import { useFocusStart } from './useFocusStart';

/** What the two hands hold and what is between them; or one thing held in both. */
export type Held = { left: Hand; crossing: ReactNode; right: Hand } | { both: Hand };

type FrameProps = Held & {
  /** What is shown: a panel that failed is tried again when it changes. */
  at: string;
  head: ReactNode;
  sentence: ReactNode;
  under: ReactNode;
  answers: ReactNode;
  cord: ReactNode;
  /** Lies over the right hand. */
  over?: ReactNode;
};

export interface Hand {
  title: string;
  note: string;
  body: ReactNode;
}

const Page = styled.main`
  height: 100vh;
  height: 100dvh;
  min-height: 740px;
  width: 100%;
  display: grid;
  overflow: hidden;
  grid-template-rows: auto auto auto minmax(0, 1fr) auto auto;
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
  @media (max-width: 1100px) {
    font-size: 27px;
    line-height: 1.25;
    padding: 4px 24px;
    white-space: normal;
  }
`;
const Under = styled.p`
  padding: 0 24px 4px;
  font-size: 20px;
  line-height: 32px;
  color: ${({ theme }) => theme.quiet};
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  strong {
    color: ${({ theme }) => theme.ink};
  }
  @media (max-width: 1100px) {
    font-size: 18px;
    line-height: 1.3;
    white-space: normal;
  }
`;
const Hands = styled.div`
  position: relative;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) 192px minmax(0, 1fr);
  padding: 0 24px;
  min-height: 0;
  &[data-one] {
    grid-template: minmax(0, 1fr) / minmax(0, 1fr);
  }
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr) 168px minmax(0, 1fr);
  }
  @media ${upright} {
    grid-template: minmax(0, 1fr) auto minmax(0, 1fr) / minmax(0, 1fr);
  }
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
  @media ${upright} {
    flex-flow: row wrap;
    justify-content: space-evenly;
    gap: 4px 20px;
    & > dl {
      max-width: 220px;
    }
  }
`;
const Over = styled.aside`
  position: absolute;
  inset: 0 24px 0 auto;
  width: calc(50% - 96px - 24px);
  overflow: auto;
  background: ${({ theme }) => theme.paper};
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  padding: 12px 16px;
  @media ${upright} {
    inset: auto 24px 0;
    width: auto;
    height: 50%;
  }
`;

export function Frame({ at, head, sentence, under, answers, cord, over, ...held }: FrameProps) {
  const page = useRef<HTMLElement>(null);
  useFocusStart(page);
  return (
    <Page ref={page}>
      {head}
      <Sentence aria-live="polite" data-testid="sentence" tabIndex={-1}>
        {sentence}
      </Sentence>
      <Under data-testid="under">{under}</Under>
      {'both' in held ? (
        <Hands data-one>
          <HandPanel side="In both hands" at={at} {...held.both} />
          {over && <OverHand>{over}</OverHand>}
        </Hands>
      ) : (
        <Hands>
          <HandPanel side="Left hand" at={at} {...held.left} />
          <Crossing>
            <PanelBoundary what="what stands between the hands" resetKeys={[at]}>
              {held.crossing}
            </PanelBoundary>
          </Crossing>
          <HandPanel side="Right hand" at={at} {...held.right} />
          {over && <OverHand>{over}</OverHand>}
        </Hands>
      )}
      {answers}
      {cord}
    </Page>
  );
}

function OverHand({ children }: { children: ReactNode }) {
  return (
    <Over>
      <PanelBoundary what="the slip">{children}</PanelBoundary>
    </Over>
  );
}

function HandPanel({ side, title, note, body, at }: Hand & { side: string; at: string }) {
  return (
    <Panel aria-label={`${side}: ${title}`}>
      <h2>
        {side}: {title}
      </h2>
      <p>{note}</p>
      <Body>
        <PanelBoundary what={`the ${side.toLowerCase()}`} resetKeys={[at]}>
          {body}
        </PanelBoundary>
      </Body>
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
