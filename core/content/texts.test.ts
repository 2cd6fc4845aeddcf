import { textsOf, withTexts, type Module } from '../catalogue';
import { catalogue } from '.';

const loud = (module: Module) =>
  withTexts(
    module,
    new Map([...textsOf(module)].map(([key, text]) => [key, text.toUpperCase()] as const)),
  );

/** Everything that stands on a screen, listed by hand and not by the names of fields. */
function shownOf(module: Module): (string | undefined)[] {
  return [
    module.title,
    ...module.zones.flatMap(({ title, cautions = [] }) => [
      title,
      ...cautions.map(({ words }) => words),
    ]),
    ...module.places.map(({ title }) => title),
    ...module.specification.map(({ title }) => title),
    ...module.services.map(({ title }) => title),
    ...module.contents.map(({ title }) => title),
    ...module.combinations.map(({ because }) => because),
    ...module.procedures.flatMap(({ title, stand, cautions, steps }) => [
      title,
      stand,
      ...cautions.map(({ words }) => words),
      ...steps.flatMap(({ say, see, gate }) => [say, see, gate?.ask, gate?.otherwise]),
    ]),
    ...module.checks.flatMap((check) => [
      check.title,
      check.partName,
      check.criterion,
      check.why,
      check.reading?.ask,
      check.moves?.takesAway,
      ...check.cautions.map(({ words }) => words),
      ...check.symptoms.flatMap((symptom) => [
        symptom.words,
        symptom.condition,
        symptom.scale?.question,
        symptom.many?.because,
        ...(symptom.scale?.steps ?? []).map(({ words }) => words),
        ...(symptom.worse ?? []).map(({ because }) => because),
        ...(symptom.exceptions ?? []).map(({ because }) => because),
        ...(symptom.fixes ?? []),
      ]),
    ]),
  ].filter((each) => each !== undefined);
}

describe.each(catalogue.modules.map((module) => [module.id, module] as const))(
  'the texts of %s',
  (_, module) => {
    it('all change with the language', () => {
      expect(shownOf(loud(module))).toEqual(shownOf(module).map((text) => text?.toUpperCase()));
    });

    it('are all that changes', () => {
      expect(withTexts(loud(module), textsOf(module))).toEqual(module);
    });

    it('survive a file', () => {
      expect(JSON.parse(JSON.stringify(module))).toEqual(module);
    });
  },
);

it('have a key of their own: no two texts of the catalogue share one', () => {
  const seen = new Map<string, string>();
  const shared: string[] = [];
  for (const module of catalogue.modules)
    for (const [key, text] of textsOf(module)) {
      if ((seen.get(key) ?? text) !== text) shared.push(key);
      seen.set(key, text);
    }
  expect(shared).toEqual([]);
});

it('stay as they are written where a language lacks them', () => {
  const [module] = catalogue.modules;
  const [first] = module.checks;
  const french = withTexts(module, new Map([[`${first.id}.title`, 'Regarder dessous']]));
  expect(french.checks[0]).toEqual({ ...first, title: 'Regarder dessous' });
});
