import type { Catalogue } from '@nazar/core/catalogue';
import type { DepotContent, Scope } from '@nazar/core/depot-content';
import { formatSi, toSi } from '@nazar/core/quantity';
import type { Unit } from '@nazar/core/rig';
import { View } from 'react-native';
import { Body, Button, Card, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';
import { titleOfCheck } from './listed';

interface RuleListProps {
  readonly content: DepotContent;
  readonly shipped: Catalogue;
  readonly units: readonly Unit[];
  readonly mayChange: boolean;
  readonly onChange: (content: DepotContent, words: string) => void;
}

interface Line {
  readonly key: string;
  readonly title: string;
  readonly note: string;
  readonly without: DepotContent;
}

/** Everything that the house changed, each with its reason, and a way to take it back. */
export function RuleList({ content, shipped, units, mayChange, onChange }: RuleListProps) {
  const t = useWords();
  const unitOf = ({ unitId }: Scope) =>
    unitId === undefined
      ? t('content.everyUnit')
      : (units.find(({ id }) => id === unitId)?.number ?? '');
  const leave = <T,>(list: readonly T[], index: number) => list.filter((_, at) => at !== index);
  const groups: readonly (readonly [name: string, lines: readonly Line[]])[] = [
    [
      'off',
      content.off.map(({ check, reason, scope }, index) => ({
        key: `${check} ${scope.unitId ?? ''}`,
        title: titleOfCheck(check, content, shipped),
        note: `${reason} · ${unitOf(scope)}`,
        without: { ...content, off: leave(content.off, index) },
      })),
    ],
    [
      'own',
      content.own.map(({ check, scope }, index) => ({
        key: check.id,
        title: check.title,
        note: `${check.criterion} · ${check.phases
          .map((phase) => t(`phase.${phase}`))
          .join(', ')} · ${unitOf(scope)}`,
        without: { ...content, own: leave(content.own, index) },
      })),
    ],
    [
      'stricter',
      content.stricter.map(({ check, side, value, unit, reason, scope }, index) => ({
        key: `${check} ${index}`,
        title: `${titleOfCheck(check, content, shipped)}: ${t(`content.sides.${side}`)} ${formatSi(toSi(value, unit), unit)}`,
        note: `${reason} · ${unitOf(scope)}`,
        without: { ...content, stricter: leave(content.stricter, index) },
      })),
    ],
    [
      'modules',
      content.modules.map(({ id, title }, index) => ({
        key: id,
        title,
        note: t('content.fromFile'),
        without: { ...content, modules: leave(content.modules, index) },
      })),
    ],
  ];
  if (groups.every(([, lines]) => lines.length === 0))
    return (
      <Card>
        <Body>{t('content.asShipped')}</Body>
      </Card>
    );
  return groups
    .filter(([, lines]) => lines.length > 0)
    .map(([name, lines]) => (
      <Card key={name}>
        <Heading level={2}>{t(`content.groups.${name}`)}</Heading>
        {lines.map((line) => (
          <View key={line.key} className="flex-row items-center justify-between gap-2">
            <View className="min-w-0 shrink">
              <Body className="font-thick">{line.title}</Body>
              <Soft>{line.note}</Soft>
            </View>
            {mayChange ? (
              <Button
                look="quiet"
                title={t('content.takeBack')}
                label={`${t('content.takeBack')}: ${line.title}`}
                onPress={() => onChange(line.without, t('content.tookBack', { title: line.title }))}
              />
            ) : null}
          </View>
        ))}
      </Card>
    ));
}
