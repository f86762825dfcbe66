/** A picture from the camera or a file, made small and stored. */
import type { ReactNode } from 'react';
import { useRef, useState } from 'react';
import { keepPicture } from '../../files/picture';
import { FileField } from '../../ui/form';

interface TakingPicture {
  field: ReactNode;
  /** Opens the camera, or asks for a file. */
  take: () => void;
  problem: string | null;
  keeping: boolean;
}

/** @param onKept With the id under which it is stored. */
export function usePicture(label: string, onKept: (blob: string) => void): TakingPicture {
  const [problem, setProblem] = useState<string | null>(null);
  const [keeping, setKeeping] = useState(false);
  const field = useRef<HTMLDivElement>(null);
  const keep = async (file: File) => {
    setKeeping(true);
    const kept = await keepPicture(file);
    setKeeping(false);
    if ('problem' in kept) setProblem(kept.problem);
    else onKept(kept.id);
  };
  return {
    field: (
      <div ref={field}>
        <FileField label={label} accept="image/*" onFile={(file) => void keep(file)} />
      </div>
    ),
    take: () => field.current?.querySelector('input')?.click(),
    problem,
    keeping,
  };
}

export function pictureRemark(
  { problem, keeping }: Pick<TakingPicture, 'problem' | 'keeping'>,
  otherwise: string,
): ReactNode {
  if (problem) return <strong role="alert">Not kept: {problem}</strong>;
  return keeping ? 'Keeping the picture' : otherwise;
}
