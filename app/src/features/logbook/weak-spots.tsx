import { partAt, type Module } from '@nazar/core/catalogue';
import type { WeakSpot } from '@nazar/core/repair';
import { View } from 'react-native';
import { Body, Soft } from '@/design';
import { useWords } from '@/i18n';

/** Title of a part: the check and its place. */
export function titleOfPart(part: string, module: Module | undefined): string {
  const [checkId, placeId] = part.split('/');
  const check = module?.checks.find(({ id }) => id === checkId);
  if (!check) return part;
  const place = module?.places.find(({ id }) => id === placeId);
  return partAt(check, place);
}

interface WeakSpotsProps {
  readonly spots: readonly WeakSpot[];
  readonly titleOf: (part: string) => string;
}

/** Parts that come loose more often than others, with how often. */
export function WeakSpots({ spots, titleOf }: WeakSpotsProps) {
  const t = useWords();
  return spots.map((spot) => (
    <View key={spot.part}>
      <Body className="font-thick">{titleOf(spot.part)}</Body>
      <Soft>
        {t('weak.line', {
          findings: spot.findings,
          walks: spot.walks,
          rate: spot.rate.toFixed(0),
          times: spot.times.toFixed(0),
        })}{' '}
        {t(`weak.of.${spot.of}`)}
      </Soft>
    </View>
  ));
}
