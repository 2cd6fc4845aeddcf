import type { StopTag } from '@nazar/core/wire';
import { useState } from 'react';
import { Linking, View } from 'react-native';
import { Body, Button, Card, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';
import { ApiProblem, changeTag, useTags } from '@/state';

interface TagsCardProps {
  readonly unitId: string;
  readonly mayChange: boolean;
}

/** What is printed at each stop of the unit, and which of them must be read. */
export function TagsCard({ unitId, mayChange }: TagsCardProps) {
  const t = useWords();
  const { value: tags, reload } = useTags(unitId);
  const [said, setSaid] = useState<string>();
  const change = async (tag: StopTag, what: { required?: boolean; renew?: boolean }) => {
    try {
      await changeTag(unitId, tag.zoneId, what);
      setSaid(what.renew ? t('tag.renewed') : undefined);
      reload();
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setSaid(error.detail || t('trouble.offline'));
    }
  };
  if (!tags) return null;
  return (
    <Card>
      <Heading level={2}>{t('tag.section')}</Heading>
      <Soft>{t('tag.sectionWhy')}</Soft>
      <Button
        title={t('tag.sheet')}
        onPress={() => void Linking.openURL(`/api/units/${unitId}/tags.pdf`)}
      />
      {said ? <Body role="status">{said}</Body> : null}
      {tags.map((tag) => (
        <View
          key={tag.zoneId}
          className="flex-row flex-wrap items-center gap-2 border-t border-line py-1"
        >
          <View className="w-full lg:w-auto lg:flex-1">
            <Body className="font-thick">{tag.title}</Body>
            <Soft>
              {[
                tag.code,
                tag.required ? t('tag.required') : undefined,
                tag.phases.length > 0 ? t('tag.always') : undefined,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Soft>
          </View>
          {mayChange ? (
            <>
              <Button
                title={t(tag.required ? 'tag.unrequire' : 'tag.require')}
                label={`${t(tag.required ? 'tag.unrequire' : 'tag.require')}: ${tag.title}`}
                onPress={() => void change(tag, { required: !tag.required })}
              />
              <Button
                look="quiet"
                title={t('tag.renew')}
                label={`${t('tag.renew')}: ${tag.title}`}
                onPress={() => void change(tag, { renew: true })}
              />
            </>
          ) : null}
        </View>
      ))}
    </Card>
  );
}
