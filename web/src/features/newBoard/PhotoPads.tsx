/**
 * Pads placed on a photograph of the board: two known points give the scale, then each pad is picked with mouse or
 * arrow keys. The picture is only drawn over; it is never stored.
 */
import type { BoardDraft, XY } from '@junctor/core';
import { photoScale } from '@junctor/core';
import { useRef, useState } from 'react';
import type { KeyboardEvent, MouseEvent } from 'react';
import styled, { useTheme } from 'styled-components';
import { FileField, NumberTextField, typedNumber, WordsField } from '../../ui/form';
import { Lines } from '../../ui/Sheet';
import { KeyButton } from '../../ui/KeyButton';
import { Small } from '../../ui/Small';
import { Alarm, Beside, Buttons, Words } from '../../ui/layout';

const Stage = styled.div`
  position: relative;
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  overflow: hidden;
  cursor: crosshair;
  width: 100%;
  height: 360px;
  background: ${({ theme }) => theme.paper};
  img {
    width: 100%;
    height: 100%;
    object-fit: contain;
    display: block;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
`;
const step = { plain: 1, fast: 12 };

export function PhotoPads({ draft, onChange }: { draft: BoardDraft; onChange: (some: Partial<BoardDraft>) => void }) {
  const { bronze } = useTheme();
  const [url, setUrl] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [at, setAt] = useState<XY>([60, 60]);
  const [marks, setMarks] = useState<readonly XY[]>([]);
  const [values, setValues] = useState({ distance: '', label: '', size: '1.5' });
  const stage = useRef<HTMLDivElement>(null);
  const left = draft.holesMm ? draft.holesMm.patternMm / 2 : draft.widthMm / 2;
  const distance = Number(values.distance || 2 * left);
  const toMm =
    marks.length >= 2 && distance > 0
      ? photoScale(marks[0]!, marks[1]!, { distanceMm: distance, firstMm: [-left, left], turnDeg: 0 })
      : null;
  const set = () => {
    setProblem(null);
    if (!toMm) {
      if (marks.length === 1 && marks[0]![0] === at[0] && marks[0]![1] === at[1])
        return setProblem('The second point lies elsewhere');
      return setMarks([...marks, at]);
    }
    const printed = values.label.trim();
    const size = typedNumber(values.size);
    if (!printed || !(size > 0)) return setProblem('Type the pad’s label and size first');
    const [x, y] = toMm(at).map((mm) => Math.round(mm * 100) / 100) as [number, number];
    if (Math.abs(x) > draft.widthMm / 2 || Math.abs(y) > draft.heightMm / 2)
      return setProblem(`That is ${x}, ${y} mm: off the board`);
    onChange({ placed: [...draft.placed, { printed, atMm: [x, y], sizeMm: [size, size], side: 'top' }] });
    setValues({ ...values, label: '' });
  };
  const onKey = (event: KeyboardEvent) => {
    const by = event.shiftKey ? step.fast : step.plain;
    const moves: Readonly<Record<string, XY>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const move = moves[event.key];
    if (move) setAt([at[0] + move[0], at[1] + move[1]]);
    else if (event.key === 'Enter') set();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onClick = (event: MouseEvent) => {
    const box = stage.current!.getBoundingClientRect();
    setAt([Math.round(event.clientX - box.left), Math.round(event.clientY - box.top)]);
    stage.current!.focus();
  };
  const open = async (file: File) => {
    const opened = await createImageBitmap(file).catch(() => null);
    if (!opened) return setProblem('This file is no picture');
    setProblem(null);
    setMarks([]);
    setUrl(URL.createObjectURL(file));
  };
  const asksOf = () => {
    if (!toMm) {
      if (marks.length === 0)
        return 'First known point: the upper left hole. Arrows move, Shift is faster, Enter sets.';
      return 'Second known point: the upper right hole.';
    }
    return 'Type a label, then Enter on the picture sets the pad.';
  };
  const asks = asksOf();
  return (
    <>
      <FileField
        label="Picture of the board, straight from above"
        accept="image/*"
        onFile={(file) => void open(file)}
      />
      {url && (
        <div
          onInput={(event) => {
            const { name, value } = event.target as HTMLInputElement;
            setValues({ ...values, [name]: value });
          }}
        >
          <Words role="status">
            {asks}{' '}
            {toMm &&
              `Now at ${toMm(at)
                .map((mm) => mm.toFixed(1))
                .join(', ')} mm.`}
          </Words>
          <Stage
            ref={stage}
            tabIndex={0}
            role="application"
            aria-label="Picture of the board"
            onKeyDown={onKey}
            onClick={onClick}
          >
            <img src={url} alt="" />
            <svg>
              {marks.map(([x, y], index) => (
                <circle key={index} cx={x} cy={y} r={7} fill="none" stroke={bronze} strokeWidth={3} />
              ))}
              <path d={`M${at[0] - 14} ${at[1]}h28M${at[0]} ${at[1] - 14}v28`} stroke={bronze} strokeWidth={2} />
            </svg>
          </Stage>
          <Beside $columns={3}>
            <NumberTextField name="distance" label="Between the points, mm" defaultValue={String(2 * left)} />
            <WordsField key={draft.placed.length} name="label" label="Label" />
            <NumberTextField name="size" label="Pad, mm" defaultValue="1.5" />
          </Beside>
          <Buttons>
            <KeyButton keyed="s" label="Set it here" act={set} />
            <KeyButton keyed="a" label="Points again" act={() => setMarks([])} />
          </Buttons>
        </div>
      )}
      {problem && <Alarm>{problem}</Alarm>}
      <Lines $columns="90px 1fr 110px" aria-label="Placed by hand">
        {draft.placed.map(({ printed, atMm }, index) => (
          <li key={index}>
            <strong>{printed}</strong>
            <span>
              {atMm[0]}, {atMm[1]} mm
            </span>
            <Small
              type="button"
              onClick={() => onChange({ placed: draft.placed.filter((_, at) => at !== index), answers: {} })}
            >
              Take out
            </Small>
          </li>
        ))}
      </Lines>
    </>
  );
}
