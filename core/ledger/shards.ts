import { LatePart } from './latePart';

/** Entries in a shard: few enough to copy within a tap, many enough that the list of shards stays short. */
const SHARD = 256;

/**
 * A table whose copy costs the same however long it is: kept in shards of some hundred entries, of which a copy shares all that it
 * does not write to. In the order in which its keys first came. Written to only by who made the copy, and only before it is shown.
 */
export class Shards<K, V> implements ReadonlyMap<K, V> {
  private readonly owned = new Set<number>();

  private constructor(
    private readonly shards: ReadonlyMap<K, V>[],
    /**
     * The shard in which a key lies or would lie. Shared by all copies, and only ever added to: a copy that does not have the key finds
     * nothing in that shard.
     */
    private readonly placeOf: Map<K, number>,
    /** The late parts as they came: they are the first shards, and none of their keys is in `placeOf`. */
    private readonly late: readonly LatePart<V>[],
    private length: number,
  ) {}

  /** The table itself where it is one already. */
  static of<K, V>(table: ReadonlyMap<K, V>): Shards<K, V> {
    if (table instanceof Shards) return table as Shards<K, V>;
    return Shards.after([], table);
  }

  /** A table of which some parts come late, and the rest after them. `absent`: keys known to be in none of it. */
  static after<K, V>(
    late: readonly LatePart<V>[],
    table: ReadonlyMap<K, V>,
    absent: Iterable<K> = [],
  ): Shards<K, V> {
    const length = late.reduce((sum, { size }) => sum + size, 0);
    const made = new Shards<K, V>(late as unknown as ReadonlyMap<K, V>[], new Map(), late, length).copy();
    // None of these is in a late part: that need not be read to know it.
    for (const [key, value] of table) made.put(made.nextPlace(key), key, value);
    for (const key of absent) made.nextPlace(key);
    return made;
  }

  /** To be written to; this one stays as it is. */
  copy(): Shards<K, V> {
    return new Shards([...this.shards], this.placeOf, this.late, this.length);
  }

  /** Its shards: the very same ones in a copy that did not write to them, so what was made of one can be kept. */
  get parts(): readonly ReadonlyMap<K, V>[] {
    return this.shards;
  }

  get size(): number {
    return this.length;
  }

  get(key: K): V | undefined {
    const place = this.placeWhere(key);
    return place === undefined ? undefined : this.shards[place]?.get(key);
  }

  has(key: K): boolean {
    const place = this.placeWhere(key);
    return place !== undefined && this.shards[place]?.has(key) === true;
  }

  set(key: K, value: V): this {
    this.put(this.placeWhere(key) ?? this.nextPlace(key), key, value);
    return this;
  }

  delete(key: K): boolean {
    if (!this.has(key)) return false;
    this.length--;
    return this.writable(this.placeWhere(key) as number).delete(key);
  }

  *entries(): MapIterator<[K, V]> {
    for (const shard of this.shards) yield* shard;
  }

  *keys(): MapIterator<K> {
    for (const shard of this.shards) yield* shard.keys();
  }

  *values(): MapIterator<V> {
    for (const shard of this.shards) yield* shard.values();
  }

  [Symbol.iterator](): MapIterator<[K, V]> {
    return this.entries();
  }

  forEach(call: (value: V, key: K, map: ReadonlyMap<K, V>) => void): void {
    for (const shard of this.shards) shard.forEach((value, key) => call(value, key, this));
  }

  /** The shard in which a key lies or once lay. */
  private placeWhere(key: K): number | undefined {
    const place = this.placeOf.get(key);
    if (place !== undefined || this.late.length === 0) return place;
    const late = this.late.findIndex((part) => part.has(key as string));
    return late < 0 ? undefined : late;
  }

  /** A place for a key that has none yet. */
  private nextPlace(key: K): number {
    const last = this.shards.length - 1;
    const roomy = last >= this.late.length && (this.shards[last] as ReadonlyMap<K, V>).size < SHARD;
    const place = roomy ? last : last + 1;
    this.placeOf.set(key, place);
    return place;
  }

  private put(place: number, key: K, value: V): void {
    const shard = this.writable(place);
    if (!shard.has(key)) this.length++;
    shard.set(key, value);
  }

  private writable(place: number): Map<K, V> {
    // Another copy may have gone further than this one.
    while (this.shards.length <= place) this.owned.add(this.shards.push(new Map()) - 1);
    if (!this.owned.has(place)) {
      this.owned.add(place);
      this.shards[place] = new Map(this.shards[place]);
    }
    return this.shards[place] as Map<K, V>;
  }
}
