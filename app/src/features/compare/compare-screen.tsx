import { CIRCUMSTANCES, faultLine, partOf, type Circumstance } from '@nazar/core/catalogue';
import { policies as shipped } from '@nazar/core/grading';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Heading, Screen, Soft, Toggles } from '@/design';
import { Opening } from '@/drawing';
import { useWords } from '@/i18n';
import { useReference, useWholeCatalogue, type Comparison } from '@/state';
import { PolicyColumn } from './policy-column';

export interface CompareScreenProps {
  readonly comparison: Comparison;
  readonly onBack: () => void;
}

/** One defect under two policies, side by side: the grade, the policy's own words, why, and until when. */
export function CompareScreen({ comparison, onBack }: CompareScreenProps) {
  const t = useWords();
  const reference = useReference((state) => state.reference);
  const all = useMemo(() => [...shipped, ...(reference?.ownPolicies ?? [])], [reference]);
  const usual = reference?.depot.choice.usual ?? shipped[0].id;
  const [left, setLeft] = useState(usual);
  const [right, setRight] = useState(all.find(({ id }) => id !== usual)?.id ?? usual);
  const [circumstances, setCircumstances] = useState<readonly Circumstance[]>(
    comparison.circumstances,
  );
  const [stepId, setStepId] = useState(comparison.stepId);
  const catalogue = useWholeCatalogue();
  const check = catalogue?.modules
    .flatMap(({ checks }) => checks)
    .find(({ id }) => id === comparison.checkId);
  const symptom = check?.symptoms.find(({ id }) => id === comparison.symptomId);
  const back = <Button look="quiet" title={t('back')} onPress={onBack} />;
  if (!check || !symptom)
    return (
      <Screen title={t('compare.title')} actions={back}>
        {catalogue ? <Body>{t('compare.unknown')}</Body> : <Opening />}
      </Screen>
    );
  const question = { symptom, stepId, circumstances, needed: comparison.needed };
  const columns = [
    { key: 'left', id: left, choose: setLeft },
    { key: 'right', id: right, choose: setRight },
  ];
  return (
    <Screen title={t('compare.title')} actions={back} width="columns">
      <View>
        <Heading level={2}>{faultLine(partOf(check), undefined, symptom.words)}</Heading>
      </View>
      {symptom.scale ? (
        <Toggles
          label={symptom.scale.question}
          options={symptom.scale.steps.map(({ id, words }) => ({ id, title: words }))}
          chosen={stepId ? [stepId] : []}
          onChange={(chosen) => setStepId(chosen.find((each) => each !== stepId))}
        />
      ) : null}
      <Toggles
        label={t('compare.moment')}
        options={CIRCUMSTANCES.map((id) => ({ id, title: t(`circumstance.${id}`) }))}
        chosen={circumstances}
        onChange={setCircumstances}
      />
      <View className="flex-row gap-3">
        {columns.map(({ key, id, choose }) => (
          <PolicyColumn
            key={key}
            policies={all}
            chosen={id}
            onChoose={choose}
            question={question}
          />
        ))}
      </View>
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}
