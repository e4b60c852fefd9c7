import { rem } from '../rem';
import { CORNER, FONT, TOUCH, useColours } from '../theme';

export interface DateInputProps {
  readonly label: string;
  /** `YYYY-MM-DD`, or what of it is typed. */
  readonly value: string;
  readonly least: string | undefined;
  readonly most: string | undefined;
  readonly wrong: boolean;
  readonly onChange: (value: string) => void;
}

/** What the field of a day looks like. */
export function useDateStyle(wrong: boolean) {
  const colours = useColours();
  return {
    minHeight: TOUCH,
    fontFamily: FONT,
    fontSize: rem(17),
    color: colours.ink,
    backgroundColor: colours.card,
    borderWidth: 1,
    borderStyle: 'solid' as const,
    borderColor: wrong ? colours.brick : colours.muted,
    borderRadius: CORNER,
    padding: 8,
  };
}
