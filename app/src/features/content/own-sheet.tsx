import { PHASES, type Check, type Harm, type Phase } from '@nazar/core/catalogue';
import type { Scope } from '@nazar/core/depot-content';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Sheet, Toggles } from '@/design';
import { useWords } from '@/i18n';
import { modulesOf, newCheckId, unitsWith } from './listed';
import type { RuleSheetProps } from './off-sheet';
import { ScopeChoice } from './scope-choice';

interface Wrong {
  readonly words: string;
  readonly harm: Harm;
}

const HARMS: readonly Harm[] = ['watch', 'repair', 'stop'];
const MOST_WRONG = 4;

/** Writes a check of the house: where, when, what good looks like, and what can be wrong with it. */
export function OwnSheet({ units, content, shipped, refused, onKeep, onClose }: RuleSheetProps) {
  const t = useWords();
  const modules = modulesOf(units, content, shipped);
  const [moduleId, setModuleId] = useState(modules[0]?.id ?? '');
  const module = modules.find(({ id }) => id === moduleId) ?? modules[0];
  const [zone, setZone] = useState<string>();
  const [phases, setPhases] = useState<readonly Phase[]>(['pre-trip']);
  const [title, setTitle] = useState('');
  const [partName, setPartName] = useState('');
  const [criterion, setCriterion] = useState('');
  const [why, setWhy] = useState('');
  const [wrong, setWrong] = useState<readonly Wrong[]>([{ words: '', harm: 'repair' }]);
  const [scope, setScope] = useState<Scope>({});
  const [trouble, setTrouble] = useState<string>();
  if (!module) return null;
  const zoneId = module.zones.find(({ id }) => id === zone)?.id ?? module.zones[0].id;
  const said = wrong.filter(({ words }) => words.trim().length >= 3);

  const keep = async () => {
    const missing =
      title.trim().length < 3
        ? 'needTitle'
        : criterion.trim().length < 3
          ? 'needCriterion'
          : phases.length === 0
            ? 'needPhase'
            : said.length === 0
              ? 'needWrong'
              : why.trim().length < 3
                ? 'needWhy'
                : undefined;
    setTrouble(missing && t(`content.${missing}`));
    if (missing) return;
    const check: Check = {
      id: newCheckId(title, content),
      title: title.trim(),
      ...(partName.trim().length >= 2 && { partName: partName.trim() }),
      zone: zoneId,
      method: 'look',
      phases: PHASES.filter((phase) => phases.includes(phase)),
      needs: [],
      helper: 'none',
      seconds: 10,
      criterion: criterion.trim(),
      symptoms: said.map(({ words, harm }, index) => ({
        id: `wrong-${index + 1}`,
        words: words.trim(),
        system: 'body',
        harm,
        takes: ['road'],
      })),
      cautions: [],
      why: why.trim(),
    };
    const own = [...content.own, { module: module.id, check, scope }];
    if (await onKeep({ ...content, own }, t('content.added', { title: check.title }))) onClose();
  };

  return (
    <Sheet
      title={t('content.add')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('content.addNow')}
          onPress={() => void keep()}
        />
      }
    >
      {refused}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Field
        label={t('content.title')}
        hint={t('content.titleHint')}
        value={title}
        onChange={setTitle}
        maxLength={80}
      />
      <Field
        label={t('content.partName')}
        hint={t('content.partNameHint')}
        value={partName}
        onChange={setPartName}
        maxLength={60}
      />
      <Field
        label={t('content.criterion')}
        value={criterion}
        onChange={setCriterion}
        maxLength={200}
      />
      {wrong.map((each, index) => (
        <View key={index} className="gap-2">
          <Field
            label={t('content.wrong', { number: index + 1 })}
            value={each.words}
            onChange={(words) =>
              setWrong(wrong.map((other, at) => (at === index ? { ...other, words } : other)))
            }
            maxLength={80}
          />
          <View
            className="flex-row flex-wrap gap-2"
            role="group"
            aria-label={t('content.howBad', { number: index + 1 })}
          >
            {HARMS.map((harm) => (
              <Button
                key={harm}
                className="grow"
                title={t(`content.harm.${harm}`)}
                selected={each.harm === harm}
                onPress={() =>
                  setWrong(wrong.map((other, at) => (at === index ? { ...other, harm } : other)))
                }
              />
            ))}
          </View>
        </View>
      ))}
      {wrong.length < MOST_WRONG ? (
        <Button
          look="quiet"
          title={t('content.another')}
          onPress={() => setWrong([...wrong, { words: '', harm: 'repair' }])}
        />
      ) : null}
      <Field label={t('content.whyCheck')} value={why} onChange={setWhy} maxLength={200} />
      <Toggles
        label={t('content.equipment')}
        options={modules.map((each) => ({ id: each.id, title: each.title }))}
        chosen={[module.id]}
        onChange={(list) => {
          setModuleId(list.find((each) => each !== module.id) ?? module.id);
          setScope({});
        }}
      />
      <Toggles
        label={t('content.where')}
        options={module.zones.map((each) => ({ id: each.id, title: each.title }))}
        chosen={[zoneId]}
        onChange={(list) => setZone(list.find((each) => each !== zoneId) ?? zoneId)}
      />
      <Toggles
        label={t('content.when')}
        options={PHASES.map((phase) => ({ id: phase, title: t(`phase.${phase}`) }))}
        chosen={[...phases]}
        onChange={setPhases}
      />
      <ScopeChoice units={unitsWith(units, module.id)} scope={scope} onChange={setScope} />
    </Sheet>
  );
}
