/** The ways from a screen of a job to another one, and back to where it was opened. */
import { useMemo } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { jobPlaces } from '../../addresses';
import { useBench } from './useBench';

export interface Doors {
  places: ReturnType<typeof jobPlaces>;
  /** Opens a screen: Back closes it again. */
  open: (to: string) => void;
  /** Goes on to a neighbour of what is looked at: Back still leaves it. */
  walk: (to: string) => void;
  /** Back to where this was opened; to the step, or to `otherwise`, when it came by a link. */
  close: (otherwise?: string) => void;
  /** Leaves it for good, to where all of it was opened from or to another place: what was done here is done. */
  leave: (to?: string) => void;
}

/** How far a screen stands from the one that all was opened from. */
interface Opened {
  base: string;
  depth: number;
}

/** A quick hand presses the next key before a page would have got round to showing where it is. */
const atOnce = { flushSync: true } as const;

export function useDoors(): Doors {
  const { job } = useBench();
  const navigate = useNavigate();
  const location = useLocation();
  const { pathname } = location;
  const state = location.state as Opened | null;
  return useMemo(() => {
    const places = jobPlaces(job.id);
    const next = nextDepth({ pathname, state });
    return {
      places,
      open: (to) => void navigate(to, { state: next, ...atOnce }),
      walk: (to) => void navigate(to, { replace: true, state, ...atOnce }),
      close: (otherwise = places.now) =>
        void (state ? navigate(-1) : navigate(otherwise, { replace: true, ...atOnce })),
      leave: (to = state?.base ?? places.now) =>
        void (state?.base === to ? navigate(-state.depth) : navigate(to, { replace: true, ...atOnce })),
    };
  }, [job.id, navigate, pathname, state]);
}

/** What goes with the address of something that is opened from here. */
export function nextDepth({ pathname, state }: { pathname: string; state: unknown }): Opened {
  const known = state as Opened | null;
  return { base: known?.base ?? pathname, depth: (known?.depth ?? 0) + 1 };
}
