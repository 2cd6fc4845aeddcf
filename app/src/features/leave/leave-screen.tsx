import type { Capability } from '@nazar/core/catalogue';
import { conditionsThatStand, findObjections, type Finding } from '@nazar/core/grading';
import { certifiedAt, circumstancesOf, neededOf } from '@nazar/core/inspection';
import { layoutOf } from '@nazar/core/planning';
import { leftStanding, settingOf, vehicleState } from '@nazar/core/walking';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Columns, Heading, Screen, Soft, Toggles } from '@/design';
import { Opening, HeadlineBanner } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { useReference, useSession, useSpeed } from '@/state';
import { useRemoteLog, useWalk, useWalkSession } from '@/state/walk';
import { Objections } from './objections';
import { OverrideSheet } from './override-sheet';

export interface LeaveScreenProps {
  readonly inspectionId: string;
  readonly onReport: () => void;
  readonly onDone: () => void;
  readonly onBack: () => void;
}

/** Out of the yard and back: may it do the job, under what conditions, and who said so. */
export function LeaveScreen({ inspectionId, onReport, onDone, onBack }: LeaveScreenProps) {
  const { log, uplink } = useWalkSession();
  const t = useWords();
  const speed = useSpeed();
  const person = useSession((state) => state.person);
  const outings = useReference((state) => state.reference?.outings);
  const walk = useWalk(inspectionId);
  const [needs, setNeeds] = useState<readonly Capability[]>();
  const [toWorkshop, setToWorkshop] = useState(false);
  const [lifting, setLifting] = useState<Finding | 'release'>();
  const [trouble, setTrouble] = useState<string>();
  const [stowed, setStowed] = useState(false);
  const isSupervisor = person?.role === 'supervisor';
  // A supervisor looks at a walk that was made on another phone; a driver's own log may have grown there.
  const remote = useRemoteLog(inspectionId);
  const tried = remote.value !== undefined || remote.trouble !== undefined;
  const notHere = remote.trouble === 'offline' ? t('trouble.offline') : remote.trouble?.sentence;
  const back = <Button look="quiet" title={t('back')} onPress={onBack} />;
  if (!walk || !person)
    return (
      <Screen title={t('leave.title')} actions={back}>
        {walk === null && tried ? <Body>{notHere ?? t('walk.gone')}</Body> : <Opening />}
      </Screen>
    );
  const { inspection, assessment, rig, policiesOf } = walk;
  const { verdict, findings } = assessment;
  const { signedOut, returned, begun } = inspection;
  const possible = rig.capabilities.filter((each) => each !== 'road');
  const wanted = needs ?? [...neededOf(inspection)];
  const policies = rig.units.flatMap(({ unit }) => policiesOf(unit.id));
  const objections = findObjections({
    verdict,
    findings,
    needs: toWorkshop ? [] : wanted,
    circumstances: circumstancesOf(inspection, rig),
    officerReleases: policies.some(({ signatures }) => signatures.officerReleases),
    released: inspection.released !== undefined,
    toWorkshop,
    met: new Set(inspection.lookedAgain.keys()),
    leftOut:
      begun && !stowed
        ? leftStanding(vehicleState(inspection, settingOf(begun, rig)), layoutOf(rig), 'pre-trip')
        : [],
  });
  const other = outings?.find(
    (outing) =>
      outing.inspectionId !== inspectionId &&
      outing.unitIds.some((id) => rig.units.some(({ unit }) => unit.id === id)),
  );
  const mayLeave = objections.length === 0 && !other;
  const isOwn = begun?.actorId === person.id;

  const send = async (entry: Parameters<typeof log.append>[0][number]) => {
    setTrouble(undefined);
    if (!(await log.append([entry]))) return false;
    await uplink.send();
    const refusal = await uplink.refusalOf(inspectionId);
    setTrouble(refusal);
    return refusal === undefined;
  };
  /** Certified since the walk was signed: read, and that part looked at, it need not be walked round again. */
  const repairOf = ({ kind, about }: Finding) => {
    if (kind !== 'fault') return undefined;
    const words = certifiedAt({ key: about }, inspection).map((each) => each.words);
    return words.length > 0 ? words.join('; ') : undefined;
  };
  const readAndLooked = async (about: string) => {
    const own = { inspectionId, actorId: person.id };
    const reads = certifiedAt({ key: about }, inspection).map(({ defectId }) => ({
      ...own,
      type: 'acknowledged' as const,
      payload: { defectId },
    }));
    setTrouble(undefined);
    const looked = { ...own, type: 'looked-again' as const, payload: { about } };
    if (!(await log.append<'acknowledged' | 'looked-again'>([...reads, looked]))) return;
    await uplink.send();
    setTrouble(await uplink.refusalOf(inspectionId));
  };
  const signOut = () =>
    send({
      inspectionId,
      actorId: person.id,
      type: 'signed-out',
      payload: {
        purpose: toWorkshop ? 'workshop' : 'job',
        needs: toWorkshop ? [] : wanted,
        ...(begun?.job?.title && !toWorkshop && { title: begun.job.title }),
        conditions: [...verdict.conditions],
        ...(stowed && { stowed: true as const }),
      },
    });
  const comeBack = async () => {
    const kept = await send({
      inspectionId,
      actorId: person.id,
      type: 'returned',
      payload: {},
    });
    if (kept) onDone();
  };

  const isOut = signedOut && !returned;
  // What is done before it leaves has its own question above; on the road nothing of it is left to heed.
  const doneBefore = conditionsThatStand(findings).filter(({ bars }) => bars === 'before-leaving');
  const toKeep = verdict.conditions.filter(
    (words) => !doneBefore.some(({ condition }) => condition === words),
  );
  const isLimited = toKeep.length > 0 || verdict.mostKmh !== undefined;
  const foot = returned ? (
    <Button className="min-h-[64px]" title={t('leave.toReport')} onPress={onReport} />
  ) : isOut ? (
    <Button
      look="main"
      className="min-h-[64px]"
      title={t('leave.return')}
      onPress={() => void comeBack()}
    />
  ) : isOwn ? (
    <Button
      look="main"
      className="min-h-[64px]"
      title={t(toWorkshop ? 'leave.goToWorkshop' : isLimited ? 'leave.goUnder' : 'leave.go')}
      disabled={!mayLeave}
      onPress={() => void signOut()}
    />
  ) : undefined;

  return (
    <Screen
      title={t('leave.title')}
      below={rig.units.map(({ unit }) => `${unit.number} ${unit.title}`).join(' + ')}
      actions={back}
      width="columns"
      foot={foot}
    >
      <HeadlineBanner headline={verdict.headline} />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      {isOut || returned ? (
        <Card marked={isOut}>
          <Heading level={2}>{t(returned ? 'leave.isBack' : 'leave.isOut')}</Heading>
          <Body>
            {formatWhen((returned ?? signedOut)?.at ?? 0)}
            {signedOut?.title ? ` · ${signedOut.title}` : ''}
          </Body>
        </Card>
      ) : null}
      <Columns
        left={
          <Card>
            <Heading level={2}>{begun?.job?.title ?? t('job.title')}</Heading>
            {possible.length > 0 ? (
              <Toggles
                label={t('job.needs')}
                options={possible.map((id) => ({ id, title: t(`capability.${id}`) }))}
                chosen={toWorkshop ? [] : wanted}
                onChange={(list) => {
                  setNeeds(list);
                  setToWorkshop(false);
                }}
              />
            ) : (
              <Body>{t('job.roadOnly')}</Body>
            )}
            <Toggles
              label={t('leave.orOnly')}
              options={[{ id: 'workshop', title: t('leave.workshop') }]}
              chosen={toWorkshop ? ['workshop'] : []}
              onChange={(list) => setToWorkshop(list.length > 0)}
            />
            {isOwn || isSupervisor ? null : <Soft>{t('leave.notYours')}</Soft>}
          </Card>
        }
        right={
          <>
            {isOut || returned ? null : (
              <Card>
                {other ? (
                  <Body role="alert" className="font-thick">
                    {t('leave.otherOut', { name: other.by, when: formatWhen(other.outAt) })}
                  </Body>
                ) : null}
                {mayLeave ? <Body className="font-thick">{t('leave.may')}</Body> : null}
                <Objections
                  objections={objections}
                  mayLift={isSupervisor}
                  onLift={(finding) => setLifting(finding)}
                  onRelease={() => setLifting('release')}
                  numberOf={(id) => rig.units.find(({ unit }) => unit.id === id)?.unit.number ?? ''}
                  onStowed={() => setStowed(true)}
                  repairOf={(finding) => repairOf(finding)}
                  onReadAndLooked={
                    isOwn ? (finding) => void readAndLooked(finding.about) : undefined
                  }
                  onLookedAgain={
                    isOwn
                      ? ({ about }) =>
                          void send({
                            inspectionId,
                            actorId: person.id,
                            type: 'looked-again',
                            payload: { about },
                          })
                      : undefined
                  }
                />
              </Card>
            )}
            {isLimited ? (
              <Card marked>
                <Heading level={2}>{t('sign.conditions')}</Heading>
                {verdict.mostKmh === undefined ? null : (
                  <Body className="font-thick">{t('most', { speed: speed(verdict.mostKmh) })}</Body>
                )}
                {toKeep.map((words) => (
                  <Body key={words}>{words}</Body>
                ))}
                <Soft>{t('leave.accept')}</Soft>
              </Card>
            ) : null}
            {findings.some(({ lifted }) => lifted) ? (
              <Card>
                <Heading level={2}>{t('leave.lifted')}</Heading>
                {findings.map(({ about, title, lifted }) =>
                  lifted ? (
                    <View key={about}>
                      <Body className="font-thick">{title}</Body>
                      <Body>{lifted.words}</Body>
                      <Soft>{formatWhen(lifted.at)}</Soft>
                    </View>
                  ) : null,
                )}
              </Card>
            ) : null}
            <Soft>{t('guide')}</Soft>
          </>
        }
      />
      {lifting ? (
        <OverrideSheet
          finding={lifting === 'release' ? undefined : lifting}
          personName={person.name}
          onClose={() => setLifting(undefined)}
          onSign={async (words, signature) => {
            const kept = await send(
              lifting === 'release'
                ? {
                    inspectionId,
                    actorId: person.id,
                    type: 'released',
                    payload: { words, signature },
                  }
                : {
                    inspectionId,
                    actorId: person.id,
                    type: 'overridden',
                    payload: { about: lifting.about, words, signature },
                  },
            );
            if (kept) setLifting(undefined);
          }}
        />
      ) : null}
    </Screen>
  );
}
