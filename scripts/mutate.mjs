// npm run mutate: breaks one rule at a time and expects the tests that guard it to go red. A rule that can be broken unseen is a
// test that is missing. Files are put back whatever happens.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, quietEnv, root } from './ensure.mjs';

await ensurePackages();

const STORE = ['src/data/store'];
const MUTANTS = [
  {
    rule: 'what is remembered is asked anew when a bed it names has come',
    file: 'core/remember.ts',
    from: 'for (const key in now) if (!same(',
    to: "for (const key in now) if (key !== 'beds' && !same(",
    tests: ['core/remembered'],
  },
  {
    rule: 'usual sizes are those of all trials, also when only a bed is new',
    file: 'core/remember.ts',
    from: 'for (const key in now) if (!same(',
    to: "for (const key in now) if (key !== 'trials' && !same(",
    tests: ['core/remembered'],
  },
  {
    rule: 'a proof knows what else stands under the roof',
    file: 'core/remember.ts',
    from: 'for (const key in now) if (!same(',
    to: "for (const key in now) if (key !== 'sheltered' && !same(",
    tests: ['core/purity/report'],
  },
  {
    rule: 'what crosses with a third is in its group',
    file: 'core/isolation/bloomGroups.ts',
    from: 'for (const row of rows)\n      for (const other of left)',
    to: 'for (const row of [first])\n      for (const other of left)',
    tests: ['core/isolation/bloomGroups'],
  },
  {
    rule: 'a flower that nobody looked at is missing, and no drop',
    file: 'core/fruitset/followed.ts',
    from: 'return until > 0 ?',
    to: 'return until >= 0 ?',
    tests: ['core/fruitset/followed'],
  },
  {
    rule: 'flowers of one plant go together in every interval',
    file: 'core/fruitset/clustered.ts',
    from: 'USUAL.rho * (size - 1)',
    to: '0 * (size - 1)',
    tests: ['core/fruitset/clustered'],
  },
  {
    rule: 'of more groups each pair has to be surer',
    file: 'core/fruitset/compare.ts',
    from: '(groups * (groups - 1)) / 2',
    to: '1',
    tests: ['core/fruitset/clustered'],
  },
  {
    rule: 'one that set hangs until today',
    file: 'core/fruitset/followed.ts',
    from: 'set === null ? looked',
    to: 'set !== null ? looked',
    tests: ['core/fruitset/followed'],
  },
  {
    rule: 'south of the equator a season runs over New Year',
    file: 'core/study/cases.ts',
    from: 'latitude < 0 &&',
    to: 'false &&',
    tests: ['core/study'],
  },
  {
    rule: 'merging gives the same log in any order',
    file: 'core/ledger/merge.ts',
    from: 'return canonicalText(a) <= canonicalText(b) ? a : b;',
    to: 'return a;',
    tests: ['core/ledger'],
  },
  {
    rule: 'a copy of a table writes to shards of its own, and what is kept of a shard is of that shard',
    file: 'core/ledger/shards.ts',
    from: 'if (!this.owned.has(place)) {',
    to: 'if (this.shards[place] === undefined) {',
    tests: ['core/ledger/shards', 'core/rounds/kept'],
  },
  {
    rule: 'a late entry finds its place in the log',
    file: 'core/ledger/state.ts',
    from: 'while (at > 0 && compareEvents(list[at - 1] as LedgerEvent, event) > 0) at--;',
    to: '',
    tests: ['core/ledger'],
  },
  {
    rule: 'what is brought back stands again',
    file: 'core/ledger/inForce.ts',
    from: '(a.id < b.id ? 1 : -1)',
    to: '(a.id < b.id ? -1 : 1)',
    tests: ['core/ledger'],
  },
  {
    rule: 'what was put right speaks with the version it was put right in',
    file: 'core/ledger/inForce.ts',
    from: 'v: Math.max(corrected.v, correction.v)',
    to: 'v: corrected.v',
    tests: ['core/ledger'],
  },
  {
    rule: 'a snapshot that covers keys that are gone is thrown away',
    file: 'src/data/store/logReader.ts',
    from: '!stored.covers.every((key) => present.has(key))',
    to: 'false',
    tests: STORE,
  },
  {
    rule: 'a snapshot covers only what was folded into it',
    file: 'src/data/store/ledgerStore.ts',
    from: 'const covers = present.filter((key) => this.folded.has(key));',
    to: 'const covers = present;',
    tests: STORE,
  },
  {
    rule: 'a cover put on after insects flew breaks the link',
    file: 'core/purity/shutBefore.ts',
    from: 'at > hours.insectsFrom',
    to: 'at > hours.closes',
    tests: ['core/purity'],
  },
  {
    rule: 'the practical school is over once insects fly',
    file: 'core/purity/shutBefore.ts',
    from: 'workedAt && hours && Date.parse(workedAt) > hours.insectsFrom',
    to: 'false',
    tests: ['core/purity'],
  },
  {
    rule: 'a late tear says nothing where it was seen whole',
    file: 'core/purity/keptShut.ts',
    from: "if (result === 'whole' && after >= need) return [];",
    to: '',
    tests: ['core/purity'],
  },
  {
    rule: 'what failed is no worse than an open flower',
    file: 'core/purity/shares.ts',
    from: 'const end = STEPS * min(1, most);',
    to: 'const end = STEPS;',
    tests: ['core/purity'],
  },
  {
    rule: 'what was put right waits for the judge',
    file: 'src/data/store/logReader.ts',
    from: "if (events.some(({ kind }) => kind === 'corrected')) await this.judge();",
    to: '',
    tests: ['src/data/store/judge'],
  },
  {
    rule: 'a snapshot says that something in it was put right',
    file: 'src/data/store/logReader.ts',
    from: 'corrected: stored.corrected !== false,',
    to: 'corrected: false,',
    tests: ['src/data/store/judge'],
  },
  {
    rule: 'what an older version wrote is judged once',
    file: 'src/data/store/ledgerStore.ts',
    from: '    await this.journal.renew(this.old);\n',
    to: '',
    tests: ['src/data/store/judge'],
  },
  {
    rule: 'a late part that is not the text that was frozen is refused',
    file: 'core/ledger/latePart.ts',
    from: "if (keyOf(text) !== this.head.key.split('/').at(-1)) return false;",
    to: '',
    tests: ['core/ledger/freeze'],
  },
  {
    rule: 'what a fruit that still hangs rests on stays with it in a snapshot',
    file: 'core/ledger/freeze.ts',
    from: 'pollinations.flatMap((each) => each.fathers.flatMap(({ flowers }) => flowers))',
    to: '[]',
    tests: ['core/ledger/freeze'],
  },
  {
    rule: 'an early state never takes a sealed subject for a new one',
    file: 'core/ledger/state.ts',
    from: 'return kind !== null && state[SUBJECTS[kind].table].has(subject);',
    to: 'return false;',
    tests: STORE,
  },
  {
    rule: 'a reading drops no tap made meanwhile',
    file: 'src/data/store/logReader.ts',
    from: 'state ??= fold([...events, ...this.taps]);',
    to: 'state ??= fold(events);',
    tests: STORE,
  },
  {
    rule: 'what another thread has not stored yet outlives a reading of the log',
    file: 'src/data/store/logReader.ts',
    from: '    this.taps.push(...fresh);\n',
    to: '',
    tests: STORE,
  },
  {
    rule: 'a pack is written before its parts are removed',
    file: 'src/data/store/journal.ts',
    from: `    await this.box.set(packKey, batchText([...batches.values()].flat()));
    await this.box.remove(whole);`,
    to: `    await this.box.remove(whole);
    await this.box.set(packKey, batchText([...batches.values()].flat()));`,
    tests: STORE,
  },
  {
    rule: 'an entry waits until storage has confirmed it',
    file: 'src/data/store/journal.ts',
    from: "        entry.saved = 'refused';\n",
    to: "        entry.saved = 'refused';\n        this.pending = this.pending.filter((each) => each !== entry);\n",
    tests: STORE,
  },
  {
    rule: 'a tap is taken back once',
    file: 'src/data/store/ledgerStore.ts',
    from: 'undoable: undoable.filter((each) => each !== tap),',
    to: 'undoable,',
    tests: STORE,
  },
  {
    rule: 'a flower that stood open before it was shut is not for seed',
    file: 'core/purity/shutBefore.ts',
    from: '(!open || shut.at <= open.at)',
    to: 'true',
    tests: ['core/purity'],
  },
  {
    rule: 'a male that is not pure spoils the seed',
    file: 'core/purity/fitForSeed.ts',
    from: "if (fit?.verdict === 'unfit')",
    to: "if (fit?.verdict === 'never')",
    tests: ['core/purity'],
  },
  {
    rule: 'a grown fruit that stops growing has not failed',
    file: 'core/fruitset/fate.ts',
    from: 'if (set === null && day >= lastDay) failed ??= seen;',
    to: 'if (day >= lastDay) failed ??= seen;',
    tests: ['core/fruitset'],
  },
  {
    rule: 'what nobody looked at is counted on no longer',
    file: 'core/fruitset/fate.ts',
    from: "? 'not-looked-at' : 'waiting'",
    to: "? 'waiting' : 'waiting'",
    tests: ['core/fruitset', 'core/rounds'],
  },
  {
    rule: 'a look is not asked for when the fruit must be ripe',
    file: 'core/fruitset/fate.ts',
    from: 'if (day > ripeDay(crop)) return null;',
    to: '',
    tests: ['core/fruitset'],
  },
  {
    rule: 'the fathers of every visit count',
    file: 'core/fruitset/trials.ts',
    from: 'for (const { fathers: used } of flower.pollinations)',
    to: 'for (const { fathers: used } of flower.pollinations.slice(-1))',
    tests: ['core/fruitset'],
  },
  {
    rule: 'a counted group takes in the tallies of its days',
    file: 'core/fruitset/groups.ts',
    from: 'return byHand && (plant === null || plant === tallied) && from <= on && on <= to;',
    to: 'return false;',
    tests: ['core/fruitset'],
  },
  {
    rule: 'a plant that stood there before a lot’s seed was ripe is not of it',
    file: 'core/patch/sown.ts',
    from: 'ripe.slice(0, 10) < since',
    to: 'true',
    tests: ['core/lineage/descent'],
  },
  {
    rule: 'the sea makes winters mild',
    file: 'core/sky/climate.ts',
    from: '- 7.9 * west',
    to: '',
    tests: ['core/sky/climate'],
  },
  {
    rule: 'the day after a frost that was named an annual’s season is over',
    file: 'core/bloom/season.ts',
    from: 'today > late &&',
    to: 'today > addDays(late, 200) &&',
    tests: ['core/bloom/season'],
  },
  {
    rule: 'last year’s plants of a stand that was planted anew have had their season',
    file: 'core/bloom/season.ts',
    from: "plantedDay(plant, place.zone) < found.begins ? 'over' : found.is",
    to: 'found.is',
    tests: ['core/goals/lastSeason'],
  },
  {
    rule: 'a plant with seed fruit out is not cleared',
    file: 'core/goals/lastSeason.ts',
    from: 'if (seed) {',
    to: 'if (!seed && seed) {',
    tests: ['core/goals/lastSeason'],
  },
  {
    rule: 'a seed fruit is told of from its first ripe day, not before',
    file: 'core/goals/ripeSeed.ts',
    from: 'day >= usual ?',
    to: 'day >= 0 ?',
    tests: ['core/goals/ripeSeed'],
  },
  {
    rule: 'what is too late to be eaten ripe reaches no goal',
    file: 'core/goals/goalParts.ts',
    from: 'into === kitchen && late(ripensUntil.kitchen)',
    to: 'late(null)',
    tests: ['core/goals/lastSeason'],
  },
  {
    rule: 'work for the kitchen says what the flower is for',
    file: 'core/patch/garden.ts',
    from: "worked === 'kitchen' && harvested",
    to: 'worked === undefined && harvested',
    tests: ['core/patch/reasonFor'],
  },
  {
    rule: 'a squash worked in the evening is asked about',
    file: 'core/bloom/hourDoubt.ts',
    from: 'now > closes + spread',
    to: 'now > closes + 100 * spread',
    tests: ['core/bloom/hourDoubt'],
  },
  {
    rule: 'what set before hand work is by no tool, plant or variety',
    file: 'core/study/grouping.ts',
    from: "(grouping !== 'hands' && each.trial.how === 'before')",
    to: 'false',
    tests: ['core/study/before'],
  },
  {
    rule: 'one plant a side can’t be told',
    file: 'core/fruitset/compare.ts',
    from: '?? 2) < 2',
    to: '?? 2) < 0',
    tests: ['core/study/before'],
  },
  {
    rule: 'each crop ends the round by its own hours',
    file: 'core/rounds/next.ts',
    from: 'now < round.until',
    to: 'now < round.window.closes',
    tests: ['src/ui/round/startWords'],
  },
  {
    rule: 'a guessed frost makes nothing hopeless',
    file: 'core/goals/goals.ts',
    from: "return guessed ? 'behind' : 'unreachable';",
    to: "return 'unreachable';",
    tests: ['core/goals', 'core/rounds'],
  },
  {
    rule: 'a stand shuts its own females only',
    file: 'core/goals/mothers.ts',
    from: 'if (growing.stand.id !== stand.id) return [];',
    to: '',
    tests: ['core/goals', 'core/rounds'],
  },
  {
    rule: 'days on end bridge no gap',
    file: 'core/bloom/warnings.ts',
    from: 'if (!each || !holds(each)) return false;',
    to: 'if (each && !holds(each)) return false;',
    tests: ['core/bloom'],
  },
  {
    rule: 'a mother past her days stays in a list till her bag is off',
    file: 'core/crosses/crosses.ts',
    from: "else lost.push({ flower, growing: each, why: 'over' });",
    to: '',
    tests: ['core/crosses'],
  },
  {
    rule: 'fruit that needs no pollen is no seed fruit because it grows',
    file: 'core/goals/goalParts.ts',
    from: "const outcome = unknown ? 'waiting' : found;",
    to: 'const outcome = found;',
    tests: ['core/goals'],
  },
  {
    rule: 'an early count is no verdict',
    file: 'core/fruitset/groups.ts',
    from: 'return !counted.early && covers(counted, tallied, on);',
    to: 'return covers(counted, tallied, on);',
    tests: ['core/fruitset'],
  },
  {
    rule: 'what two devices settled is asked about no more',
    file: 'core/rounds/contradictions.ts',
    from: '!settled.has(settledKey(a.id, b.id))',
    to: 'true',
    tests: ['core/rounds'],
  },
  {
    rule: 'a garden day goes by the clock of the garden',
    file: 'core/bloom/roundDay.ts',
    from: "(isForenoon(shutMs, zone) && crop.family !== 'corn')",
    to: "(localDateOf(shutMs + 43_200_000, zone) === shutOn && crop.family !== 'corn')",
    tests: ['core/bloom'],
  },
  {
    rule: 'a male that was not open is free again on its new morning',
    file: 'core/bloom/roundDay.ts',
    from: "if (check?.result !== 'not-open') return expected;",
    to: 'if (check) return expected;',
    tests: ['core/rounds'],
  },
  {
    rule: 'a flower waiting on a known mother brings no new one',
    file: 'core/goals/goalParts.ts',
    from: '.filter((plant) => !known.has(plant))',
    to: '',
    tests: ['core/goals', 'core/rounds'],
  },
  {
    rule: 'males for a female are as the crop needs',
    file: 'core/goals/malesFor.ts',
    from: 'value: Math.floor((low + high) / 2)',
    to: 'value: 2',
    tests: ['core/goals', 'core/rounds'],
  },
  {
    rule: 'a mean of directions goes round the compass',
    file: 'core/sky/air.ts',
    from: 'if (Math.hypot(north, east) < 1e-9) return first;',
    to: 'return degrees.reduce((a, b) => a + b, 0) / degrees.length;',
    tests: ['core/sky'],
  },
  {
    rule: 'what is written after the day that followed is from memory',
    file: 'core/purity/writtenLate.ts',
    from: 'day(writtenAt(said))) > 1',
    to: 'day(writtenAt(said))) > 1000',
    tests: ['core/purity'],
  },
  {
    rule: 'a flower moved once it was worked may be another',
    file: 'core/purity/chain.ts',
    from: 'each.from !== null && each.from !== plant && since(each)',
    to: 'each.from !== null && each.from !== plant && !since(each)',
    tests: ['core/purity'],
  },
  {
    rule: 'an off-type parent is said of a fruit left open too',
    file: 'core/purity/chain.ts',
    from: 'const parents = stranger ?',
    to: "const parents = stranger && way !== 'open' ?",
    tests: ['core/purity'],
  },
  {
    rule: 'one off among many does not end a variety',
    file: 'core/purity/chain.ts',
    from: 'offShare(offspring).atLeast <=',
    to: '-offShare(offspring).atLeast >',
    tests: ['core/purity'],
  },
  {
    rule: 'a cross without its anthers out is fair at best',
    file: 'core/purity/gradeProof.ts',
    from: "(ofCross && state !== 'seen')",
    to: '(ofCross && false)',
    tests: ['core/purity'],
  },
  {
    rule: 'a flower that was open when its cage was shut is not proven by it',
    file: 'core/purity/fitForSeed.ts',
    from: 'day(at) > shelter.from || bud',
    to: 'day(at) >= shelter.from || bud',
    tests: ['core/purity'],
  },
  {
    rule: 'a tassel counts by the bag that it wore',
    file: 'core/purity/fitForSeed.ts',
    from: 'flower.shuttings.findLast(({ at }) => usedAt === null || at <= usedAt)',
    to: 'flower.shuttings.find(({ at }) => usedAt === null || at <= usedAt)',
    tests: ['core/corn', 'core/purity'],
  },
  {
    rule: 'a poured tassel gets a fresh bag in the afternoon',
    file: 'core/corn/corn.ts',
    from: 'const poured = on(bag.at) < date && uses.has(flower.id);',
    to: 'const poured = false;',
    tests: ['core/corn'],
  },
  {
    rule: 'a cage holds its own bed alone',
    file: 'core/patch/shelter.ts',
    from: 'if (alone) return bed.id === each.bed.id;',
    to: '',
    tests: ['core/patch'],
  },
  {
    rule: 'how often a closure holds is what was found when its turn came',
    file: 'core/fruitset/rates.ts',
    from: 'flower.checks.findLast(({ at }) => at <= worked.at) ?? null',
    to: 'lastCheck(flower)',
    tests: ['core/fruitset'],
  },
  {
    rule: 'what selfs under its cover wants no father',
    file: 'core/goals/goals.ts',
    from: "const selfs = stand.reason === 'seed' && selfsUnderCover(crop);",
    to: 'const selfs = false as boolean;',
    tests: ['core/goals'],
  },
  {
    rule: 'every fact of the catalogue is read',
    file: 'src/ui/goals/GoalForm.tsx',
    from: 'crop.isolationM',
    to: 'crop.daysToSeed',
    tests: ['core/crops'],
  },
  {
    rule: 'silk with a barrier refuses pollen without one, not the other way about',
    file: 'core/crops/cornKinds.ts',
    from: 'if (silk.barrier === true && without)',
    to: 'if (without)',
    tests: ['core/crops/cornKinds'],
  },
  {
    rule: 'a stigma that stands out is not shut in by its cone',
    file: 'core/crops/methods.ts',
    from: "crop === 'tomato' && traits.stigmaOut !== true",
    to: "crop === 'tomato'",
    tests: ['core/crosses/selfing'],
  },
  {
    rule: 'an off-type plant ends as a father',
    file: 'core/bloom/shutMales.ts',
    from: 'if (plant.offType !== null) return males;',
    to: '',
    tests: ['core/rounds/offType'],
  },
  {
    rule: 'an off-type plant ends as a mother',
    file: 'core/patch/layout.ts',
    from: "plant.offType === null || stand.reason === 'fruit'",
    to: "plant.offType !== null || stand.reason === 'fruit'",
    tests: ['core/rounds/offType'],
  },
  {
    rule: 'what was not looked over before it flowered is not asked for afterwards',
    file: 'core/purity/roguing.ts',
    from: 'if (flowered || !span) return null;',
    to: 'if (!span) return null;',
    tests: ['core/purity/roguing'],
  },
  {
    rule: 'a cage moved after the bees flew proves nothing of that day',
    file: 'core/purity/fitForSeed.ts',
    from: 'turn && Date.parse(turn.at) <= insects',
    to: 'turn',
    tests: ['core/purity/inTurn'],
  },
  {
    rule: 'two cages that cross are never off on one day',
    file: 'core/patch/shelter.ts',
    from: 'if (mayCross(each, { variety, crop: cropOf(variety.crop) })) return null;',
    to: '',
    tests: ['core/purity/inTurn'],
  },
  {
    rule: 'what needs no cover is not shut in the evening',
    file: 'core/goals/mothers.ts',
    from: 'coversFor(state, each, date).needed,',
    to: 'true,',
    tests: ['core/goals/tonight'],
  },
  {
    rule: 'fruit that the kitchen is to have is not taken off',
    file: 'core/fruitset/seedLoad.ts',
    from: 'if (others > 0 && (stand.goal?.kitchenFruits ?? 0) === 0)',
    to: 'if (others > 0)',
    tests: ['core/fruitset/seedLoad'],
  },
  {
    rule: 'nothing is shut for a morning on which nobody comes',
    file: 'core/goals/aim.ts',
    from: 'const nobodyComes = !comesOn(comes, round);',
    to: 'const nobodyComes = false;',
    tests: ['core/goals/mornings'],
  },
  {
    rule: 'a single morning stands before its day of the week',
    file: 'core/patch/mornings.ts',
    from: 'told[date] ?? (weekdays === null || weekdays.includes(weekdayOf(date)))',
    to: 'weekdays === null ? (told[date] ?? true) : weekdays.includes(weekdayOf(date))',
    tests: ['core/goals/mornings'],
  },
  {
    rule: 'nobody sleeps in on a flower that was shut',
    file: 'core/goals/tonight.ts',
    from: 'wanted !== 0 || shut.length > 0 ||',
    to: 'wanted !== 0 ||',
    tests: ['core/goals/mornings'],
  },
  {
    rule: 'a shower in the afternoon spoils no morning',
    file: 'core/sky/rain.ts',
    from: "day?.source === 'forecast' ? inMorning(date) : null",
    to: 'null',
    tests: ['core/sky/rain'],
  },
];

let undo = () => {};
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    undo();
    process.exit(1);
  });

const wanted = process.argv[2] ?? '';
const chosen = MUTANTS.filter(({ rule, file }) => `${rule} ${file}`.includes(wanted));
let unseen = 0;
for (const { rule, file, from, to, tests } of chosen) {
  const path = join(root, file);
  const whole = readFileSync(path, 'utf8');
  if (!whole.includes(from)) {
    console.log(`GONE    ${rule}: ${file} does not hold the line to be broken`);
    unseen++;
    continue;
  }
  undo = () => writeFileSync(path, whole);
  try {
    writeFileSync(path, whole.replaceAll(from, to));
    const { status } = spawnSync(
      'npx',
      ['--no-install', 'jest', ...tests, '--selectProjects', 'core', '--silent', '--bail'],
      { cwd: root, env: quietEnv, stdio: 'ignore' },
    );
    if (status === 0) unseen++;
    console.log(`${status === 0 ? 'UNSEEN ' : 'red    '} ${rule}`);
  } finally {
    undo();
  }
}
console.log(`\n${chosen.length - unseen} of ${chosen.length} broken rules were seen by a test`);
process.exit(unseen === 0 ? 0 : 1);
