import type { Grouping, Pair } from '@core/study';
import { useGarden } from '@/data/garden/garden';
import { Notice } from '../controls';
import { Txt } from '../theme';
import { BEFORE_WORDS, groupName, pairWords, togetherWords } from './studyWords';

/** Two groups compared in plain words, with what else differed between them. */
export function PairNotice({ pair, grouping }: { pair: Pair; grouping: Grouping }) {
  const { state } = useGarden();
  const names: [string, string] = [
    groupName(state, grouping, pair.a.id),
    groupName(state, grouping, pair.b.id),
  ];
  const [first = '', ...rest] = pairWords(pair, names, grouping === 'plant');
  const together = pair.b.id === 'before' ? BEFORE_WORDS : togetherWords(pair.together);
  return (
    <Notice
      tone={pair.verdict === 'more' ? 'leaf' : 'dusk'}
      text={`${first[0]?.toUpperCase() ?? ''}${first.slice(1)}`}
    >
      <Txt size="label">{[...rest, together].filter(Boolean).join(' ')}</Txt>
    </Notice>
  );
}
