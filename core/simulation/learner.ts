import { cropOf } from '../crops';
import { idMaker } from '../ids';
import { makeQuestion, skillsFor, type Practised, type Skill } from '../practice';
import { hashText, seededRandom } from '../random';
import { toInstant } from '../time';
import { DEMO_SEED, demoStart } from './setting';

/** How often the demo's learner is right, by skill [invented]: stages are hard, the brown tip harder. */
const SURE: Record<Skill, number> = {
  sex: 0.95,
  stage: 0.76,
  shut: 0.82,
  usable: 0.92,
  'mother-bud': 0.7,
  'ear-clean': 0.85,
  took: 0.88,
  tip: 0.66,
};

/** Answers that one of the demo's people gave the trainer in the weeks before. The same seed, the same answers. */
export function practiceHistory(seed: number = DEMO_SEED): Practised[] {
  const random = seededRandom(hashText(`${seed}/practice`));
  const ids = idMaker(random);
  const records: Practised[] = [];
  const crops = ['squash-maxima', 'squash-moschata', 'melon', 'corn'] as const;
  for (let day = 12; day >= 1; day--) {
    let at = demoStart() - day * 86_400_000 + 14 * 3_600_000;
    for (let i = 0; i < 11; i++) {
      const crop = crops[Math.floor(random() * crops.length)] ?? 'melon';
      const skills = skillsFor(cropOf(crop));
      const skill = skills[Math.floor(random() * skills.length)] as Skill;
      const question = makeQuestion(skill, crop, random);
      const right = random() < SURE[skill];
      const near = question.options.findIndex(({ id }) => id === question.truth);
      const wrong = question.options[near + 1 < question.options.length ? near + 1 : near - 1];
      records.push({
        id: ids.event(at),
        at: toInstant(at),
        by: 'Oda',
        device: 'demo',
        kind: 'practised',
        skill: question.skill,
        crop,
        truth: question.truth,
        answered: right ? question.truth : (wrong?.id ?? question.truth),
        tookMs: Math.round(2500 + random() * 9000),
        inWords: false,
      });
      at += 11_000;
    }
  }
  return records;
}
