/** Every id that one file of knowledge names must stand in the file that it belongs to. */
import { BadKnowledge, type Files } from './files.ts';

/** @throws BadKnowledge with every id that leads nowhere */
export function checkReferences(files: Files): void {
  const wrong = dangling(files);
  if (wrong.length > 0) throw new BadKnowledge(wrong.join('; '));
}

/**
 * One sentence per id that leads nowhere, per row of the wrong length, per id that stands twice.
 */
function dangling({
  causes,
  faults,
  numbers,
  pairs,
  questions,
  readings,
  repairs,
  steps,
}: Files): string[] {
  const wrong: string[] = [];
  const faultIds = idsOf('faults', faults.faults, wrong);
  const causeIds = idsOf('causes', causes.causes, wrong);
  const stepIds = idsOf('steps', steps.steps, wrong);
  const asked = [...questions.questions, ...questions.causeQuestions];
  idsOf('questions', asked, wrong);
  const optionsOf = new Map(asked.map(({ id, options }) => [id, Object.keys(options)]));
  const readingIds = new Set(Object.keys(readings.readings));
  const ladderIds = new Set(Object.keys(repairs.ladders));

  const want = (where: string, known: ReadonlySet<string>, ids: Iterable<string>) => {
    for (const id of ids) if (!known.has(id)) wrong.push(`${where}: ${id} is not known`);
  };
  const wantOption = (where: string, question: string, option: string) => {
    if (!optionsOf.get(question)?.includes(option))
      wrong.push(`${where}: ${question} has no answer ${option}`);
  };

  for (const { id, lookAlikes } of faults.faults)
    want(
      `faults › ${id}`,
      faultIds,
      lookAlikes.map((alike) => alike.with),
    );
  for (const cause of causes.causes) want(`causes › ${cause.id}`, stepIds, cause.steps);
  for (const { id, knownBy } of asked) want(`questions › ${id}`, readingIds, knownBy);
  for (const { id, skips } of questions.questions)
    skips.forEach((option) => wantOption(`questions › ${id}`, id, option));
  for (const { id, for: about } of questions.causeQuestions)
    want(`questions › ${id}`, faultIds, about);

  want('numbers › causes', causeIds, Object.keys(numbers.causes));
  want('numbers has no figures for a cause', new Set(Object.keys(numbers.causes)), causeIds);
  for (const [id, { evidence, makes }] of Object.entries(numbers.causes)) {
    want(`numbers › causes › ${id}`, faultIds, Object.keys(makes));
    want(
      `numbers › causes › ${id}`,
      readingIds,
      evidence.map((row) => row.reading),
    );
  }
  want('numbers has no row for a question', new Set(Object.keys(numbers.questions)), [
    ...questions.questions.map(({ id }) => id),
  ]);
  for (const [id, { base, rows }] of Object.entries(numbers.questions)) {
    const options = optionsOf.get(id);
    if (!options) wrong.push(`numbers › questions: ${id} is not known`);
    want(`numbers › questions › ${id}`, faultIds, Object.keys(rows));
    for (const [fault, row] of Object.entries({ ...rows, base }))
      if (typeof row !== 'string')
        Object.keys(row).forEach((option) => wantOption(`numbers › ${id} › ${fault}`, id, option));
      else if (row.length !== options?.length)
        wrong.push(
          `numbers › ${id} › ${fault}: ${row.length} letters for ${options?.length ?? 0} answers`,
        );
  }
  for (const [id, options] of Object.entries(numbers.saidOfCauses))
    for (const [option, { favours, against }] of Object.entries(options)) {
      wantOption('numbers › saidOfCauses', id, option);
      want(`numbers › saidOfCauses › ${id}`, causeIds, [...Object.keys(favours), ...against]);
    }
  for (const { fault, reading } of numbers.ruledOut) {
    want('numbers › ruledOut', faultIds, [fault]);
    want('numbers › ruledOut', readingIds, [reading]);
  }
  want(
    'numbers › pairStrengths',
    new Set(pairs.causePairs.map(({ id }) => id)),
    Object.keys(numbers.pairStrengths),
  );
  for (const { id, pair } of pairs.causePairs) want(`pairs › ${id}`, causeIds, pair);
  for (const { id, pair } of pairs.faultPairs) want(`pairs › ${id}`, faultIds, pair);
  for (const { pair, ask } of pairs.lookAlikes) {
    want('pairs › lookAlikes', faultIds, pair);
    want(`pairs › ${pair.join(' and ')}`, new Set(optionsOf.keys()), ask);
  }
  for (const { id, faults: about } of pairs.schools) want(`pairs › ${id}`, faultIds, about);
  for (const trap of readings.traps) want(`readings › ${trap.id}`, readingIds, trap.readings);
  want('steps › never', faultIds, Object.keys(steps.never));
  want('steps › never', stepIds, Object.values(steps.never).flat());
  want('repairs › below', faultIds, Object.keys(repairs.below));
  const wantRungs = (of: string, rungs: Files['repairs']['neverOver']['rungs']) => {
    for (const { when, ladder } of rungs) {
      want(`repairs › ${of}`, ladderIds, ladder ? [ladder] : []);
      when?.answer?.forEach(([question, option]) =>
        wantOption(`repairs › ${of}`, question, option),
      );
      want(`repairs › ${of}`, causeIds, when?.cause ?? []);
      want(`repairs › ${of}`, faultIds, when?.withFault ?? []);
      want(`repairs › ${of}`, readingIds, when?.reading ? [when.reading[0]] : []);
    }
  };
  wantRungs('neverOver', repairs.neverOver.rungs);
  want('repairs › neverOver', faultIds, [
    ...repairs.neverOver.except,
    ...repairs.neverOver.asks.faults,
  ]);
  want('repairs › neverOver', new Set(optionsOf.keys()), repairs.neverOver.asks.questions);
  for (const [fault, rungs] of Object.entries(repairs.rungs)) {
    want('repairs › rungs', faultIds, [fault]);
    wantRungs(fault, rungs);
    if (rungs.at(-1)?.when)
      wrong.push(`repairs › ${fault}: the last rung must hold without conditions`);
  }
  return wrong;
}

function idsOf(file: string, list: readonly { id: string }[], wrong: string[]): Set<string> {
  const ids = new Set<string>();
  for (const { id } of list) {
    if (ids.has(id)) wrong.push(`${file}: ${id} stands twice`);
    ids.add(id);
  }
  return ids;
}
