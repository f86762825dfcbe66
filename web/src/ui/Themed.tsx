/** Light or dim: as the system says, or as somebody has chosen on this tablet. */
import { createContext, useContext, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import { ThemeProvider } from 'styled-components';
import type { ThemeName } from './theme';
import { themes } from './theme';
import { useMatches } from './useMatches';

type ThemeChoice = ThemeName | 'as the system';

interface ChosenTheme {
  choice: ThemeChoice;
  shown: ThemeName;
  /** Goes on to the next: as the system, light, dim. */
  next: () => void;
}

const storageKey = 'junctor.theme';
const choices: readonly ThemeChoice[] = ['as the system', 'light', 'dim'];
const ChosenThemeContext = createContext<ChosenTheme | null>(null);

export function useChosenTheme(): ChosenTheme {
  const chosen = useContext(ChosenThemeContext);
  if (!chosen) throw new Error('No theme around this: put it inside Themed');
  return chosen;
}

export function Themed({ children }: { children: ReactNode }) {
  const [choice, setChoice] = useState<ThemeChoice>(kept);
  const system = useMatches('(prefers-color-scheme: dark)') ? 'dim' : 'light';
  const shown = choice === 'as the system' ? system : choice;
  const chosen = useMemo(
    (): ChosenTheme => ({
      choice,
      shown,
      next: () => {
        const next = choices[(choices.indexOf(choice) + 1) % choices.length]!;
        localStorage.setItem(storageKey, next);
        setChoice(next);
      },
    }),
    [choice, shown],
  );
  return (
    <ChosenThemeContext value={chosen}>
      <ThemeProvider theme={themes[shown]}>{children}</ThemeProvider>
    </ChosenThemeContext>
  );
}

function kept(): ThemeChoice {
  const known = localStorage.getItem(storageKey);
  return choices.find((choice) => choice === known) ?? 'as the system';
}
