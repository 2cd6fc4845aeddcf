import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const resolver = createRequire(import.meta.url);
const font = (name: string) => readFileSync(resolver.resolve(`@expo-google-fonts/${name}`));
/** Fonts that every paper of ours embeds. */
export const FONTS = {
  Condensed: font('barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf'),
  Text: font('atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf'),
  Bold: font('atkinson-hyperlegible/700Bold/AtkinsonHyperlegible_700Bold.ttf'),
};
