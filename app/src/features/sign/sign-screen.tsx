import type { Capability } from '@nazar/core/catalogue';
import { findObjections, type Finding } from '@nazar/core/grading';
import {
  circumstancesOf,
  findHasty,
  findDwells,
  neededOf,
  type Stroke,
} from '@nazar/core/inspection';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Columns, Heading, Screen, Soft } from '@/design';
import { useWords } from '@/i18n';
import { SignaturePad } from '@/signature';
import { useSession, useSpeed } from '@/state';
import { keepLastOrder, useWalk, useWalkSession } from '@/state/walk';
import { Opening, HeadlineBanner } from '@/drawing';
import { layoutOf } from '@nazar/core/planning';
import { endOf, type VehicleChange } from '@nazar/core/vehicle';
import { isUnsaid, leftStanding, settingOf, vehicleState } from '@nazar/core/walking';

export interface SignScreenProps {
  readonly inspectionId: string;
  readonly onSealed: () => void;
  readonly onBack: () => void;
}

const SHOWN = 8;

/** What the rig may do today and why; then the signature. */
export function SignScreen({ inspectionId, onSealed, onBack }: SignScreenProps) {
  const { log } = useWalkSession();
  const t = useWords();
  const speed = useSpeed();
  const walk = useWalk(inspectionId);
  const person = useSession((state) => state.person);
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [round, setRound] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  const changeStrokes = useCallback((drawn: readonly Stroke[]) => {
    setStrokes(drawn);
    setTrouble(undefined);
  }, []);
  if (!walk || !person)
    return <Screen>{walk === null ? <Body>{t('walk.gone')}</Body> : <Opening />}</Screen>;
  const { assessment, inspection, rig } = walk;
  const { verdict, missing, findings } = assessment;
  const { begun } = inspection;
  const stays = findDwells(inspection, rig);
  const hasty = findHasty(stays);
  const layout = layoutOf(rig);
  const state = begun && vehicleState(inspection, settingOf(begun, rig));
  const leaves = endOf(begun?.phase ?? '') === 'ready to leave';
  const standing = begun && state ? leftStanding(state, layout, begun.phase) : [];
  const unsaid = leaves && state !== undefined && isUnsaid(state, layout);
  // What may not be driven need not stand as if it were: the workshop fetches it as it is.
  const mustPutBack = (standing.length > 0 || unsaid) && verdict.headline !== 'stays';
  const objections = findObjections({
    verdict,
    findings,
    needs: [...neededOf(inspection)],
    circumstances: circumstancesOf(inspection, rig),
    officerReleases: rig.units.some(({ unit }) =>
      walk.policiesOf(unit.id).some(({ signatures }) => signatures.officerReleases),
    ),
    released: false,
  });

  const putBack = async (change: VehicleChange, unitId: string | undefined) => {
    setTrouble(undefined);
    await log.append([
      {
        inspectionId,
        actorId: person.id,
        type: 'changed',
        payload: { change, ...(unitId !== undefined && { unitId }) },
      },
    ]);
  };

  const vouch = async () => {
    setTrouble(undefined);
    await log.append([
      {
        inspectionId,
        actorId: person.id,
        type: 'affirmed',
        payload: { what: 'all-stowed', zone: rig.zones[0].key },
      },
    ]);
  };

  const sign = async () => {
    if (missing.length > 0) {
      setTrouble(t('sign.needAnswers'));
      return;
    }
    if (mustPutBack) {
      setTrouble(t('putBack.first'));
      return;
    }
    if (strokes.length === 0) {
      setTrouble(t('sign.needSignature'));
      return;
    }
    const kept = await log.append([
      {
        inspectionId,
        actorId: person.id,
        type: 'signed',
        payload: { signature: { name: person.name, strokes }, headline: verdict.headline },
      },
    ]);
    if (!kept) return;
    if (begun)
      await keepLastOrder(
        begun.unitIds,
        begun.phase,
        [...inspection.answers].sort(([, one], [, other]) => one.at - other.at).map(([key]) => key),
      );
    onSealed();
  };

  return (
    <Screen
      title={t('sign.title')}
      actions={<Button look="quiet" title={t('sign.backToWalk')} onPress={onBack} />}
      width="columns"
      foot={
        missing.length > 0 ? (
          <Button
            look="main"
            className="min-h-[64px]"
            title={t('walk.missing', { count: missing.length })}
            onPress={onBack}
          />
        ) : (
          <Button
            look="main"
            className="min-h-[64px]"
            title={t('sign.go')}
            onPress={() => void sign()}
          />
        )
      }
    >
      <HeadlineBanner headline={verdict.headline} />
      <Columns
        left={
          <>
            {verdict.capabilities.map((each) => (
              <Card key={each.capability}>
                <View className="flex-row items-center gap-3">
                  <Bead
                    size={30}
                    state={
                      each.state === 'clear'
                        ? 'sound'
                        : each.state === 'limited'
                          ? 'minor'
                          : 'major'
                    }
                  />
                  <Heading level={2}>
                    {t(`capability.${each.capability}`)}: {t(`capabilityState.${each.state}`)}
                  </Heading>
                </View>
                {each.findings.slice(0, SHOWN).map((finding) => (
                  <FindingLine
                    key={`${finding.kind} ${finding.about} ${finding.condition ?? ''}`}
                    finding={finding}
                  />
                ))}
                {each.findings.length > SHOWN ? (
                  <Soft>{t('sign.more', { count: each.findings.length - SHOWN })}</Soft>
                ) : null}
              </Card>
            ))}
          </>
        }
        right={
          <>
            {begun?.job ? (
              <JobCard
                title={begun.job.title}
                needs={begun.job.needs}
                objections={objections.length}
              />
            ) : null}
            {verdict.conditions.length > 0 || verdict.mostKmh !== undefined ? (
              <Card marked>
                <Heading level={2}>{t('sign.conditions')}</Heading>
                {verdict.mostKmh === undefined ? null : (
                  <Body className="font-thick">{t('most', { speed: speed(verdict.mostKmh) })}</Body>
                )}
                {verdict.conditions.map((words) => (
                  <Body key={words}>{words}</Body>
                ))}
              </Card>
            ) : null}
            {unsaid ? (
              <Card marked>
                <Heading level={2}>{t('affirm.all-stowed.title')}</Heading>
                <Soft>{t('affirm.all-stowed.why')}</Soft>
                <Button
                  testID="all-stowed"
                  title={t('affirm.all-stowed.yes')}
                  onPress={() => void vouch()}
                />
              </Card>
            ) : null}
            {standing.length > 0 ? (
              <Card marked>
                <Heading level={2}>{t('putBack.title')}</Heading>
                <Soft>{t(leaves ? 'putBack.why' : 'putBack.parked')}</Soft>
                {standing.map(({ change, unitId }) => {
                  const number = rig.units.find(({ unit }) => unit.id === unitId)?.unit.number;
                  const what = t(`change.${change}`);
                  return (
                    <Button
                      key={`${change} ${unitId ?? ''}`}
                      start
                      testID={`put-back-${change}`}
                      title={number === undefined ? what : t('bar.ofUnit', { what, number })}
                      onPress={() => void putBack(change, unitId)}
                    />
                  );
                })}
              </Card>
            ) : null}
            {hasty.length > 0 ? (
              <Card>
                <Body className="font-thick">
                  {t('report.hasty', { count: hasty.length, stops: stays.length })}
                </Body>
                <Soft>{t('sign.hasty')}</Soft>
              </Card>
            ) : null}
            {missing.length === 0 ? (
              <View className="gap-2">
                <Heading level={2}>{t('sign.sign')}</Heading>
                <Soft>{t('sign.promise', { name: person.name })}</Soft>
                <SignaturePad label={t('sign.signLabel')} round={round} onChange={changeStrokes} />
                <Button
                  look="quiet"
                  title={t('sign.clear')}
                  onPress={() => setRound((before) => before + 1)}
                />
              </View>
            ) : null}
            {trouble ? (
              <Body role="alert" className="font-thick text-vermilion">
                {trouble}
              </Body>
            ) : null}
            <Soft>{t('guide')}</Soft>
          </>
        }
      />
    </Screen>
  );
}

/** Whether it may do what it is wanted for. */
function JobCard({
  title,
  needs,
  objections,
}: {
  readonly title: string | undefined;
  readonly needs: readonly Capability[];
  readonly objections: number;
}) {
  const t = useWords();
  return (
    <Card marked={objections > 0}>
      <Heading level={2}>{title ?? t('job.title')}</Heading>
      <Body>{['road' as const, ...needs].map((each) => t(`capability.${each}`)).join(', ')}</Body>
      <Body className="font-thick">{t(objections > 0 ? 'job.mayNot' : 'job.may')}</Body>
    </Card>
  );
}

function FindingLine({ finding }: { readonly finding: Finding }) {
  const t = useWords();
  return (
    <View className="flex-row gap-3">
      <View className="pt-0.5">
        <Bead
          state={finding.grade === 'major' ? 'major' : finding.grade === 'minor' ? 'minor' : 'note'}
          size={22}
        />
      </View>
      <View className="shrink">
        <Body className="font-thick">{finding.title}</Body>
        <Soft>
          {finding.chain
            .slice(0, 3)
            .map((reason) => t(`reason.${reason.code}`, { words: reason.words }))
            .join(' → ')}
        </Soft>
      </View>
    </View>
  );
}
