import type { Capability } from '@nazar/core/catalogue';
import type { Finding, Objection } from '@nazar/core/grading';
import type { VehicleChange } from '@nazar/core/vehicle';
import { View } from 'react-native';
import { Bead, Body, Button, Soft } from '@/design';
import { useWords } from '@/i18n';

interface ObjectionsProps {
  readonly objections: readonly Objection[];
  readonly mayLift: boolean;
  readonly onLift: (finding: Finding) => void;
  readonly onRelease: () => void;
  /** Number of a unit of the rig. */
  readonly numberOf: (unitId: string) => string;
  readonly onStowed: () => void;
  /** Undefined for whoever has not walked round it. */
  readonly onLookedAgain?: (finding: Finding) => void;
  /** What the workshop has done about a fault of this walk since, in words; nothing where it is not certified. */
  readonly repairOf?: (finding: Finding) => string | undefined;
  readonly onReadAndLooked?: (finding: Finding) => void;
}

/** What keeps the rig in, each with the defect behind it and who could change it. */
export function Objections(props: ObjectionsProps) {
  const { objections, mayLift, onLift, onRelease, numberOf, onStowed, onLookedAgain } = props;
  const { repairOf, onReadAndLooked } = props;
  const t = useWords();
  return joinBlocked(objections).map((objection) => {
    switch (objection.code) {
      case 'missing-capability':
        return (
          <Body key={`missing ${objection.capability}`} role="alert" className="font-thick">
            {t('leave.missing', { capability: t(`capability.${objection.capability}`) })}
          </Body>
        );
      case 'blocked':
        return (
          <View key={`blocked ${objection.capabilities[0]}`} className="gap-2">
            <Body role="alert" className="font-thick">
              {t('leave.blocked', {
                list: objection.capabilities.map((each) => t(`capability.${each}`)).join(', '),
              })}
            </Body>
            {objection.findings.map((finding) => {
              const repair = repairOf?.(finding);
              return (
                <View key={finding.about} className="gap-2">
                  <FindingRow finding={finding} />
                  {repair !== undefined && onReadAndLooked ? (
                    <>
                      <Body className="font-thick">{t('leave.repaired', { words: repair })}</Body>
                      <Button
                        testID="read-and-looked"
                        title={t('leave.readAndLooked')}
                        onPress={() => onReadAndLooked(finding)}
                      />
                    </>
                  ) : null}
                </View>
              );
            })}
            <Soft>{t('leave.majorStays')}</Soft>
          </View>
        );
      case 'left-out':
        return (
          <View key="left-out" className="gap-2">
            <Body role="alert" className="font-thick">
              {t('leave.leftOut')}
            </Body>
            {objection.items.map(({ change, unitId }) => {
              const what = t(`change.${change as VehicleChange}`);
              return (
                <Body key={`${change} ${unitId ?? ''}`}>
                  {unitId === undefined
                    ? what
                    : t('bar.ofUnit', { what, number: numberOf(unitId) })}
                </Body>
              );
            })}
            <Button testID="stowed" title={t('leave.stowed')} onPress={onStowed} />
          </View>
        );
      case 'before-leaving':
        return (
          <View
            key={`before ${objection.finding.about} ${objection.finding.condition ?? ''}`}
            className="gap-2"
          >
            <Body role="alert" className="font-thick">
              {t('leave.beforeLeaving')}
            </Body>
            <FindingRow finding={objection.finding} />
            {onLookedAgain ? (
              <>
                <Button
                  testID="looked-again"
                  title={t('leave.lookedAgain')}
                  onPress={() => onLookedAgain(objection.finding)}
                />
                <Soft>{t('leave.lookedAgainWhy')}</Soft>
              </>
            ) : null}
          </View>
        );
      case 'condition':
        return (
          <View key={`condition ${objection.finding.about}`} className="gap-2">
            <Body role="alert" className="font-thick">
              {t(`leave.bar.${objection.bar}`)}
            </Body>
            <FindingRow finding={objection.finding} />
            {mayLift ? (
              <Button title={t('leave.lift')} onPress={() => onLift(objection.finding)} />
            ) : (
              <Soft>{t('leave.askSupervisor')}</Soft>
            )}
          </View>
        );
      case 'officer':
        return (
          <View key="officer" className="gap-2">
            <Body role="alert" className="font-thick">
              {t('leave.officer', {
                list: objection.capabilities.map((each) => t(`capability.${each}`)).join(', '),
              })}
            </Body>
            {mayLift ? (
              <Button title={t('leave.release')} onPress={onRelease} />
            ) : (
              <Soft>{t('leave.askSupervisor')}</Soft>
            )}
          </View>
        );
    }
  });
}

type Blocked = Extract<Objection, { code: 'blocked' }>;
type Told =
  | Exclude<Objection, Blocked>
  | (Omit<Blocked, 'capability'> & { readonly capabilities: readonly Capability[] });

/** What the same findings block is told once. */
export function joinBlocked(objections: readonly Objection[]): Told[] {
  const isSame = (one: Blocked, other: Blocked) =>
    one.findings.map(({ about }) => about).join(' ') ===
    other.findings.map(({ about }) => about).join(' ');
  const blocked = objections.filter((each) => each.code === 'blocked');
  return objections.flatMap((objection): Told[] => {
    if (objection.code !== 'blocked') return [objection];
    const alike = blocked.filter((each) => isSame(each, objection));
    if (alike[0] !== objection) return [];
    const { findings } = objection;
    return [{ code: 'blocked', findings, capabilities: alike.map(({ capability }) => capability) }];
  });
}

function FindingRow({ finding }: { readonly finding: Finding }) {
  const t = useWords();
  const reason = finding.chain.at(0);
  return (
    <View className="flex-row gap-3">
      <View className="pt-0.5">
        <Bead state={finding.grade} size={26} />
      </View>
      <View className="shrink">
        <Body className="font-thick">{finding.title}</Body>
        {reason ? <Body>{t(`reason.${reason.code}`, { words: reason.words })}</Body> : null}
        {finding.condition ? <Body>{finding.condition}</Body> : null}
      </View>
    </View>
  );
}
