import { proportionInterval } from '../fruitset';
import { SKILLS, type PracticeRecord, type Practised, type Skill } from './types';

/** Answers that count: the latest of each skill, since people learn. */
export const LATEST = 60;

/** How often a skill was answered rightly. */
export interface SkillResult {
  readonly skill: Skill;
  readonly right: number;
  readonly asked: number;
  /** Wilson, 80 %; `null` before the first answer. */
  readonly interval: { readonly low: number; readonly high: number } | null;
}

/** What was taken for what, and how often. */
export interface Confusion {
  readonly skill: Skill;
  readonly truth: string;
  readonly answered: string;
  readonly count: number;
  /** Of how many times the truth was asked. */
  readonly of: number;
}

const answers = (records: readonly PracticeRecord[], skill: Skill): Practised[] =>
  records
    .filter((record): record is Practised => record.kind === 'practised' && record.skill === skill)
    .slice(-LATEST);

/** How well each skill goes, over the latest answers. */
export function skillResults(records: readonly PracticeRecord[]): SkillResult[] {
  return SKILLS.map((skill) => {
    const given = answers(records, skill);
    const right = given.filter(({ truth, answered }) => truth === answered).length;
    const interval =
      given.length === 0
        ? null
        : proportionInterval(right, given.length, { method: 'wilson', confidence: 0.8 });
    return { skill, right, asked: given.length, interval };
  });
}

/** What is taken for what, most often first. */
export function confusions(records: readonly PracticeRecord[]): Confusion[] {
  const out: Confusion[] = [];
  for (const skill of SKILLS) {
    const given = answers(records, skill);
    const counts = new Map<string, Confusion>();
    for (const { truth, answered } of given) {
      if (truth === answered) continue;
      const key = `${truth}/${answered}`;
      const of = given.filter((each) => each.truth === truth).length;
      counts.set(key, { skill, truth, answered, count: (counts.get(key)?.count ?? 0) + 1, of });
    }
    out.push(...counts.values());
  }
  return out.sort((a, b) => b.count - a.count || b.count / b.of - a.count / a.of);
}
