import type { PlannedJob } from '@nazar/core/wire';
import type { Capability } from '@nazar/core/catalogue';
import { Body, Button, Card, Heading, Toggles } from '@/design';
import { formatWhen, useWords } from '@/i18n';

interface JobChoiceProps {
  readonly jobs: readonly PlannedJob[];
  readonly chosen: string | undefined;
  readonly onJob: (id: string) => void;
  readonly capabilities: readonly Capability[];
  readonly needs: readonly Capability[];
  readonly onNeeds: (needs: readonly Capability[]) => void;
}

/** What the rig is wanted for: a job that was planned, or what it must be able to do. */
export function JobChoice(props: JobChoiceProps) {
  const t = useWords();
  const { jobs, chosen, capabilities, needs } = props;
  return (
    <Card>
      <Heading level={2}>{t('job.title')}</Heading>
      {jobs.map((job) => (
        <Button
          key={job.id}
          start
          title={job.title}
          note={[
            formatWhen(job.startsAt),
            ...job.needs.map((each) => t(`capability.${each}`)),
          ].join(' · ')}
          selected={job.id === chosen}
          onPress={() => props.onJob(job.id)}
        />
      ))}
      {capabilities.length > 0 ? (
        <Toggles
          label={t('job.needs')}
          options={capabilities.map((id) => ({ id, title: t(`capability.${id}`) }))}
          chosen={needs}
          onChange={props.onNeeds}
        />
      ) : (
        <Body>{t('job.roadOnly')}</Body>
      )}
    </Card>
  );
}
