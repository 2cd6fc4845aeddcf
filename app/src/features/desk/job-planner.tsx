import type { PlannedJob } from '@nazar/core/wire';
import { CAPABILITIES, type Capability } from '@nazar/core/catalogue';
import { findModuleOfUnit } from '@nazar/core/rig';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Field, Heading, Soft, Toggles } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { ApiProblem, cancelJob, planJob, useCatalogueOf, useReference } from '@/state';

interface JobPlannerProps {
  readonly jobs: readonly PlannedJob[];
  readonly mayPlan: boolean;
  readonly onChanged: () => void;
}

const HOURS = [1, 3, 6, 12, 24] as const;

/** Work of the next days: what is needed tonight is mended first. */
export function JobPlanner({ jobs, mayPlan, onChanged }: JobPlannerProps) {
  const t = useWords();
  const units = useReference((state) => state.reference?.units) ?? [];
  const [open, setOpen] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const numbers = (ids: readonly string[]) =>
    ids.flatMap((id) => units.find((unit) => unit.id === id)?.number ?? []).join(' + ');
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
      setTrouble(undefined);
      onChanged();
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.detail || t('trouble.offline'));
      return false;
    }
  };
  return (
    <Card>
      <Heading level={2}>{t('desk.jobs')}</Heading>
      {jobs.length === 0 ? <Body>{t('desk.noJobs')}</Body> : null}
      {jobs.map((job) => (
        <View key={job.id} className="flex-row items-center justify-between gap-2">
          <View className="min-w-0 shrink">
            <Body className="font-thick">{job.title}</Body>
            <Soft>
              {[
                formatWhen(job.startsAt),
                numbers(job.unitIds),
                ...job.needs.map((each) => t(`capability.${each}`)),
              ].join(' · ')}
            </Soft>
          </View>
          {mayPlan ? (
            <Button
              look="quiet"
              title={t('desk.callOff')}
              label={`${t('desk.callOff')}: ${job.title}`}
              onPress={() => void act(() => cancelJob(job.id))}
            />
          ) : null}
        </View>
      ))}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      {mayPlan && !open ? <Button title={t('desk.plan')} onPress={() => setOpen(true)} /> : null}
      {open ? (
        <JobForm
          onKeep={async (job) => {
            if (await act(() => planJob(job))) setOpen(false);
          }}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </Card>
  );
}

function hoursFromNow(hours: number): string {
  return new Date(Date.now() + hours * 3_600_000).toISOString();
}

function JobForm({
  onKeep,
  onClose,
}: {
  readonly onKeep: (job: Omit<PlannedJob, 'id'>) => Promise<void>;
  readonly onClose: () => void;
}) {
  const t = useWords();
  const units = useReference((state) => state.reference?.units) ?? [];
  const [title, setTitle] = useState('');
  const [unitIds, setUnitIds] = useState<readonly string[]>([]);
  const [needs, setNeeds] = useState<readonly Capability[]>([]);
  const [inHours, setInHours] = useState<number>(3);
  const [trouble, setTrouble] = useState<string>();
  const chosen = units.filter(({ id }) => unitIds.includes(id));
  const catalogue = useCatalogueOf(chosen);
  const modules = catalogue
    ? chosen.flatMap((unit) => findModuleOfUnit(unit, catalogue) ?? [])
    : [];
  const can = CAPABILITIES.filter(
    (each) => each !== 'road' && modules.some(({ capabilities }) => capabilities.includes(each)),
  );
  const keep = () => {
    const found =
      title.trim().length < 2
        ? t('desk.needTitle')
        : unitIds.length === 0
          ? t('desk.needUnits')
          : undefined;
    setTrouble(found);
    if (found) return;
    void onKeep({
      title: title.trim(),
      unitIds: [...unitIds],
      needs: needs.filter((each) => can.includes(each)),
      startsAt: hoursFromNow(inHours),
    });
  };
  return (
    <View className="gap-3">
      <Field label={t('desk.jobTitle')} value={title} onChange={setTitle} maxLength={80} />
      <Toggles
        label={t('desk.jobUnits')}
        options={units.map(({ id, number }) => ({ id, title: number }))}
        chosen={unitIds}
        onChange={setUnitIds}
      />
      {can.length > 0 ? (
        <Toggles
          label={t('job.needs')}
          options={can.map((id) => ({ id, title: t(`capability.${id}`) }))}
          chosen={needs}
          onChange={setNeeds}
        />
      ) : null}
      <Toggles
        label={t('desk.starts')}
        options={HOURS.map((hours) => ({
          id: String(hours),
          title: t('desk.inHours', { count: hours }),
        }))}
        chosen={[String(inHours)]}
        onChange={(list) => {
          const chosen = list.find((each) => Number(each) !== inHours);
          if (chosen) setInHours(Number(chosen));
        }}
      />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <View className="flex-row gap-2">
        <Button className="flex-1" title={t('close')} onPress={onClose} />
        <Button look="main" className="flex-1" title={t('desk.keep')} onPress={keep} />
      </View>
    </View>
  );
}
