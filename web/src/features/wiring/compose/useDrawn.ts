/** How the parts of a build lie in its frame: searched off the page. null while that takes, and without a frame. */
import type { Build, Catalogue, Laid } from '@junctor/core';
import { assemble, layoutOf } from '@junctor/core';
import { useEffect, useState } from 'react';
import { compute } from '../../../compute/compute';

export function useDrawn(build: Build, catalogue: Catalogue | null): Laid | null {
  const [drawn, setDrawn] = useState<Laid | null>(null);
  useEffect(() => {
    if (!catalogue) return;
    let isAsked = true;
    void compute()
      .lay({ models: catalogue.models, build })
      .then((poses) => {
        if (isAsked) setDrawn(layoutOf(assemble(build, catalogue), new Map(poses))?.laid ?? null);
      });
    return () => {
      isAsked = false;
    };
  }, [build, catalogue]);
  return drawn;
}
