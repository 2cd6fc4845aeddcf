import type { Circumstance } from '@nazar/core/catalogue';
import { fromSi, parseTyped, toSi, unitFor, type UnitName } from '@nazar/core/quantity';
import type { RoadWeather } from '@nazar/core/simulate';
import { useMemo, useState } from 'react';
import { useHabit } from '@/state';

/** What is asked of the moment; nobody's guess stands for it. */
export type Asked = 'light' | 'weather' | 'frost';

export interface Conditions {
  /** Undefined until somebody has said so, or the station. */
  readonly dark: boolean | undefined;
  readonly wet: boolean | undefined;
  readonly freezing: boolean | undefined;
  readonly passengers: boolean;
  /** Temperature as typed, its unit, and what it means. */
  readonly typed: string;
  readonly unit: UnitName;
  readonly celsius: number | undefined;
  /** What was typed can be a temperature, or nothing was. */
  readonly possible: boolean;
  readonly circumstances: readonly Circumstance[];
  /** What nobody has said yet. */
  readonly open: readonly Asked[];
  readonly setDark: (dark: boolean) => void;
  readonly setWet: (wet: boolean) => void;
  readonly setFreezing: (freezing: boolean) => void;
  readonly setPassengers: (aboard: boolean) => void;
  readonly setTyped: (typed: string) => void;
  readonly take: (weather: RoadWeather, given: readonly Circumstance[]) => void;
}

/** Light, weather and frost at the vehicle: from the station or asked once; none is recorded that nobody saw. */
export function useConditions(): Conditions {
  const unit = unitFor('temperature', useHabit());
  const [dark, setDark] = useState<boolean>();
  const [wet, setWet] = useState<boolean>();
  const [frost, setFrost] = useState<boolean>();
  const [passengers, setPassengers] = useState(false);
  const [typed, setTyped] = useState('');
  const parsed = parseTyped(typed, unit);
  const celsius = parsed.ok ? Math.round(fromSi(parsed.si, '°C') * 10) / 10 : undefined;
  const possible = typed.trim() === '' || (celsius !== undefined && celsius > -80 && celsius < 70);
  const freezing = celsius === undefined ? frost : celsius <= 0;
  const circumstances = useMemo<Circumstance[]>(
    () => [
      ...(dark ? (['dark'] as const) : []),
      ...(wet ? (['wet'] as const) : []),
      ...(freezing ? (['freezing'] as const) : []),
      ...(passengers ? (['passengers'] as const) : []),
    ],
    [dark, wet, freezing, passengers],
  );
  const said: readonly (readonly [Asked, boolean | undefined])[] = [
    ['light', dark],
    ['weather', wet],
    ['frost', freezing],
  ];
  return {
    dark,
    wet,
    freezing,
    passengers,
    typed,
    unit,
    celsius,
    possible,
    circumstances,
    open: said.flatMap(([asked, value]) => (value === undefined ? [asked] : [])),
    setDark,
    setWet,
    setPassengers,
    setTyped,
    // Somebody who feels frost knows it better than an old number in the field.
    setFreezing: (chosen) => {
      setFrost(chosen);
      if (celsius !== undefined && celsius <= 0 !== chosen) setTyped('');
    },
    take: (weather, given) => {
      setDark(given.includes('dark'));
      setWet(given.includes('wet'));
      const frozen = given.includes('freezing');
      setFrost(frozen);
      const degrees = Math.round(fromSi(toSi(weather.airC, '°C'), unit));
      // A pavement that freezes under warmer air is frost; the number would deny it.
      setTyped(weather.airC <= 0 === frozen ? String(degrees) : '');
    },
  };
}
