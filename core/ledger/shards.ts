/** Entries in a shard: few enough to copy within a tap, many enough that the list of shards stays short. */
const SHARD = 256;

/**
 * A table whose copy costs the same however long it is: kept in shards of some hundred entries, of which a copy shares all that it
 * does not write to. In the order in which its keys first came. Written to only by who made the copy, and only before it is shown.
 */
export class Shards<K, V> implements ReadonlyMap<K, V> {
  private readonly owned = new Set<number>();

  private constructor(
    private readonly shards: Map<K, V>[],
    /**
     * The shard in which a key lies or would lie. Shared by all copies, and only ever added to: a copy that does not have the key finds
     * nothing in that shard.
     */
    private readonly placeOf: Map<K, number>,
    private length: number,
  ) {}

  /** The table itself where it is one already. */
  static of<K, V>(table: ReadonlyMap<K, V>): Shards<K, V> {
    if (table instanceof Shards) return table as Shards<K, V>;
    const made = new Shards<K, V>([], new Map(), 0);
    for (const [key, value] of table) made.set(key, value);
    return made;
  }

  /** To be written to; this one stays as it is. */
  copy(): Shards<K, V> {
    return new Shards([...this.shards], this.placeOf, this.length);
  }

  /** Its shards: the very same ones in a copy that did not write to them, so what was made of one can be kept. */
  get parts(): readonly ReadonlyMap<K, V>[] {
    return this.shards;
  }

  get size(): number {
    return this.length;
  }

  get(key: K): V | undefined {
    const place = this.placeOf.get(key);
    return place === undefined ? undefined : this.shards[place]?.get(key);
  }

  has(key: K): boolean {
    const place = this.placeOf.get(key);
    return place !== undefined && this.shards[place]?.has(key) === true;
  }

  set(key: K, value: V): this {
    const shard = this.writable(this.placeFor(key));
    if (!shard.has(key)) this.length++;
    shard.set(key, value);
    return this;
  }

  delete(key: K): boolean {
    if (!this.has(key)) return false;
    this.length--;
    return this.writable(this.placeOf.get(key) as number).delete(key);
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

  private placeFor(key: K): number {
    const known = this.placeOf.get(key);
    if (known !== undefined) return known;
    const last = this.shards.length - 1;
    const place = last >= 0 && (this.shards[last] as Map<K, V>).size < SHARD ? last : last + 1;
    this.placeOf.set(key, place);
    return place;
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
