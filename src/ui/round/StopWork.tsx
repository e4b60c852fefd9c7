import type { Closure, Tool } from '@core/crops';
import type { CheckResult, Purpose } from '@core/ledger';
import type { Growing } from '@core/patch';
import { fatherVarietyOf, holdSeconds, workSteps, type FatherOffer } from '@core/rounds';
import { useGarden } from '@/data/garden';
import { Key, Notice, Tile, Tiles } from '../controls';
import { Steps } from '../Steps';
import { closureWords, toolWords } from '../words';
import { FatherTiles } from './FatherTiles';
import { HoldTimer } from './HoldTimer';
import { HowItWent } from './HowItWent';

/** What was answered at one stop so far; kept as a draft until it is recorded. */
export interface Answers {
  readonly found: CheckResult | null;
  readonly purpose: Purpose;
  /** Males by plant; null = as suggested. */
  readonly males: Readonly<Record<string, number>> | null;
  readonly tool: Tool | null;
  readonly shutAgain: Closure | 'open' | null;
  readonly more: boolean;
  readonly lobes: number | null;
  readonly openS: number | null;
  readonly beeIn: boolean;
  readonly went: boolean;
  /** Hands and brush cleaned, where they carried another variety. */
  readonly clean: boolean;
}

export const NO_ANSWERS: Answers = {
  found: null,
  purpose: 'seed',
  males: null,
  tool: null,
  shutAgain: null,
  more: false,
  lobes: null,
  openS: null,
  beeIn: false,
  went: false,
  clean: false,
};
/** The work at a flower whose closure was looked at: whose pollen, how, how it went, shut again with what. */
export function StopWork({
  growing,
  answers,
  onChange,
  offers,
  males,
  tool,
  purpose,
  worn,
  shutBefore,
  shutAgain,
  mark,
  carried,
  selfing,
}: {
  growing: Growing;
  answers: Answers;
  onChange: (part: Partial<Answers>) => void;
  offers: readonly FatherOffer[];
  males: Readonly<Record<string, number>>;
  tool: Tool;
  purpose: Purpose;
  /** What the flower wears now, and what it is shut with again as a rule. */
  worn: Closure;
  shutBefore: Closure;
  shutAgain: Closure | 'open';
  /** The mark it gets now; `null` = none. */
  mark: string | null;
  /** Name of another variety whose pollen the brush carries. */
  carried: string | null;
  selfing: boolean;
}) {
  const { state } = useGarden();
  const { crop } = growing;
  const hold = holdSeconds(tool);
  return (
    <>
      {carried ? (
        <Notice
          tone="brick"
          title={`This brush carries ${carried} pollen`}
          text={`Wipe your hands, put it away, and take the dry brush for ${state.varieties.get(fatherVarietyOf(growing))?.name ?? 'this variety'}.`}
        >
          <Key title="Clean hands, fresh brush" small onPress={() => onChange({ clean: true })} />
        </Notice>
      ) : null}
      <FatherTiles offers={offers} males={males} onChange={(next) => onChange({ males: next })} />
      {selfing ? (
        <Notice
          tone="pollen"
          text="Pollen of the same plant: selfing. True to this mother; a mix of plants keeps the variety broader."
        />
      ) : null}
      {purpose === 'kitchen' ? <Notice tone="brick" text={crop.caution} /> : null}
      <Steps steps={workSteps(crop, tool, worn)} />
      {hold ? <HoldTimer seconds={hold} verb={tool === 'vibration' ? 'Vibrate' : 'Brush'} /> : null}
      <HowItWent
        crop={crop}
        value={answers}
        open={answers.went}
        onOpen={() => onChange({ went: true })}
        onChange={onChange}
      />
      {answers.beeIn ? (
        <Notice
          tone="brick"
          text="A bee brings pollen from anywhere: not for seed. It counts for the kitchen and gets no mark."
        />
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
      {purpose === 'seed' && shutAgain === 'open' ? (
        <Notice tone="brick" text="Left open, insects can add pollen: the seed can't be called pure." />
      ) : null}
      {answers.more ? (
        <Tiles question="Pollen carried with">
          {crop.tools.map((each) => (
            <Tile
              key={each}
              title={toolWords[each]}
              chosen={tool === each}
              onPress={() => onChange({ tool: each })}
            />
          ))}
        </Tiles>
      ) : (
        <Key
          title={`Pollen carried with: ${toolWords[tool]}. Change`}
          look="quiet"
          small
          onPress={() => onChange({ more: true })}
        />
      )}
    </>
  );
}
