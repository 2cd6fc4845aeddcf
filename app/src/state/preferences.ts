import type { UnitHabit } from '@nazar/core/quantity';
import { create } from 'zustand';
import { keepValue, readValue } from './database';

export type Theme = 'night' | 'day' | 'system';

interface Preferences {
  readonly theme: Theme;
  /** Undefined follows the depot. */
  readonly habit: UnitHabit | undefined;
  /** Larger buttons, and a touch counts once. */
  readonly gloves: boolean;
  readonly load: () => Promise<void>;
  readonly setTheme: (theme: Theme) => void;
  readonly setHabit: (habit: UnitHabit) => void;
  readonly setGloves: (gloves: boolean) => void;
}

export const usePreferences = create<Preferences>((set) => ({
  theme: 'system',
  habit: undefined,
  gloves: false,
  load: async () => {
    const theme = await readValue<Theme>('theme');
    const habit = await readValue<UnitHabit>('habit');
    const gloves = await readValue<boolean>('gloves');
    set({ theme: theme ?? 'system', habit, gloves: gloves ?? false });
  },
  setTheme: (theme) => {
    set({ theme });
    void keepValue('theme', theme);
  },
  setGloves: (gloves) => {
    set({ gloves });
    void keepValue('gloves', gloves);
  },
  setHabit: (habit) => {
    set({ habit });
    void keepValue('habit', habit);
  },
}));

const rigChoice = (personId: string) => `rig ${personId}`;

/** The rig this person drove last on this device. */
export async function readRigChoice(personId: string): Promise<string | undefined> {
  return (await readValue<string | null>(rigChoice(personId))) ?? undefined;
}

export async function keepRigChoice(personId: string, rigId: string | null): Promise<void> {
  await keepValue(rigChoice(personId), rigId);
}
