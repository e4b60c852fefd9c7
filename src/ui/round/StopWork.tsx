import type { ReactNode } from 'react';
import { markWords, type Closure, type Tool } from '@core/crops';
import type { Flower } from '@core/ledger';
import { fatherVarietyOf, reasonFor, type Growing } from '@core/patch';
import { losesAnthers } from '@core/purity';
import {
  holdSeconds,
  NO_ANSWERS,
  workSteps,
  type FatherOffer,
  type StopAnswers,
  type StopWork,
} from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { Button, Notice, Tile, Tiles } from '../controls';
import { Steps } from '../Steps';
import { Txt } from '../theme';
import { closureWords, toolWords } from '../words';
import { FatherTiles } from './FatherTiles';
import { HoldTimer } from './HoldTimer';
import { HowItWent } from './HowItWent';

/** What was answered at one stop, and what of the screen is unfolded; kept as a draft until it is recorded. */
export interface Answers extends StopAnswers {
  readonly more: boolean;
  /** Hands and brush cleaned, where they carried another variety. */
  readonly clean: boolean;
  /** Its own males are used for this one flower, though the patch never does. */
  readonly selfOnce: boolean;
}

export const NOTHING_SAID: Answers = {
  ...NO_ANSWERS,
  more: false,
  clean: false,
  selfOnce: false,
};

/** The work at a flower whose closure was looked at: whose pollen, how, how it went, shut again with what. */
export function StopWorkTiles({
  growing,
  flower,
  answers,
  onChange,
  offers,
  males,
  tool,
  work,
  worn,
  shutBefore,
  carried,
  noFather,
}: {
  growing: Growing;
  flower: Flower;
  answers: Answers;
  onChange: (part: Partial<Answers>) => void;
  offers: readonly FatherOffer[];
  males: Readonly<Record<string, number>>;
  /** The tool that the steps speak of: what was said, or the usual one. */
  tool: Tool;
  work: StopWork;
  /** What the flower wears now, and what it is shut with again as a rule. */
  worn: Closure;
  shutBefore: Closure;
  /** Name of another variety whose pollen the brush carries. */
  carried: string | null;
  /** What to say where no father is to be had. */
  noFather: ReactNode;
}) {
  const { state, patch } = useGarden();
  const { crop } = growing;
  const hold = holdSeconds(tool);
  // A dry brush is the tool; a damp one is no dry brush.
  const name = toolWords[tool].replace(/^dry /, '');
  const { shutAgain, mark } = work;
  return (
    <>
      {carried ? (
        <Notice
          tone="brick"
          title={`This brush carries ${carried} pollen`}
          text={`Wipe your hands, put it away, and take the dry brush for ${state.varieties.get(fatherVarietyOf(growing))?.name ?? 'this variety'}.`}
        >
          <Button
            title="Clean hands, fresh brush"
            small
            onPress={() => onChange({ clean: true, handsClean: true })}
          />
        </Notice>
      ) : null}
      {noFather}
      <FatherTiles offers={offers} males={males} onChange={(next) => onChange({ males: next })} />
      {work.fathers.some(({ plant }) => plant === growing.plant.id) ? (
        <Notice
          tone="pollen"
          text="Pollen of the same plant: selfing. True to this mother; a mix of plants keeps the variety broader."
        />
      ) : null}
      {work.purpose === 'kitchen' ? <Notice tone="brick" text={crop.caution} /> : null}
      <Steps steps={workSteps(crop, tool, worn)} />
      {tool === 'brush' || tool === 'swab' ? (
        answers.damp ? (
          <Notice
            tone="brick"
            title={`Not with a damp ${name}`}
            text="Damp, it clumps the pollen, and next to nothing reaches the stigma. Dry it for another day."
          >
            <Button title={`The ${name} is dry after all`} small onPress={() => onChange({ damp: false })} />
            {crop.tools
              .filter((each) => each !== tool)
              .slice(0, 3)
              .map((each) => (
                <Button
                  key={each}
                  title={`Take the ${toolWords[each]}`}
                  small
                  onPress={() => onChange({ tool: each, damp: false })}
                />
              ))}
          </Notice>
        ) : (
          <Button title={`The ${name} is damp`} look="quiet" small onPress={() => onChange({ damp: true })} />
        )
      ) : null}
      {hold ? <HoldTimer seconds={hold} verb={tool === 'vibration' ? 'Vibrate' : 'Brush'} /> : null}
      <HowItWent
        crop={crop}
        value={answers}
        withAnthers={
          flower.emasculated === null &&
          losesAnthers(growing, reasonFor(flower, growing), patch?.schools.selfing)
        }
        claimed={work.faultless}
        open={answers.went}
        onOpen={() => onChange({ went: true })}
        onChange={onChange}
      />
      {answers.beeIn ? (
        <Notice tone="brick" text="A bee brings pollen from anywhere: not for seed. It gets no mark." />
      ) : null}
      <Tiles question={mark ? `Shut again · the mark is ${mark}` : 'Shut again'}>
        {[...crop.closures, 'open' as const].map((closure) => (
          <Tile
            key={closure}
            title={
              closure === 'open'
                ? 'left open'
                : closure === shutBefore
                  ? `fresh ${closureWords[closure]}`
                  : closureWords[closure]
            }
            chosen={shutAgain === closure}
            onPress={() => onChange({ shutAgain: closure })}
          />
        ))}
      </Tiles>
      {mark ? (
        <Txt size="label" tone="muted">
          {markWords(crop)}
        </Txt>
      ) : null}
      {work.purpose === 'seed' && !answers.beeIn && shutAgain === 'open' ? (
        <Notice tone="brick" text="Left open, insects can add pollen: the seed can’t be called pure." />
      ) : null}
      {answers.more ? (
        <Tiles question="Pollen carried with">
          {crop.tools.map((each) => (
            <Tile
              key={each}
              title={toolWords[each]}
              chosen={work.tool === each}
              onPress={() => onChange({ tool: each })}
            />
          ))}
        </Tiles>
      ) : (
        <Button
          title={
            work.tool
              ? `Pollen carried with: ${toolWords[work.tool]}. Change`
              : 'Pollen carried with: say, if you like'
          }
          look="quiet"
          small
          onPress={() => onChange({ more: true })}
        />
      )}
    </>
  );
}
