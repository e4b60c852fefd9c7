/** Word between tabs of one browser, and a lock they share; each quietly absent where the browser has none. */
export interface Neighbours {
  tell(message: unknown): void;
  listen(hear: (message: unknown) => void): () => void;
  /** Runs `work` alone (`exclusive`) or beside other readers (`shared`). `null` result: no lock to be had here. */
  locked<T>(mode: 'shared' | 'exclusive', work: () => Promise<T>): Promise<T>;
  readonly canLock: boolean;
}

export function browserNeighbours(name: string): Neighbours {
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  return {
    canLock: locks !== undefined,
    tell: (message) => channel?.postMessage(message),
    listen(hear) {
      if (!channel) return () => undefined;
      const onMessage = (event: MessageEvent) => hear(event.data);
      channel.addEventListener('message', onMessage);
      return () => channel.removeEventListener('message', onMessage);
    },
    locked: <T>(mode: 'shared' | 'exclusive', work: () => Promise<T>): Promise<T> =>
      locks ? (locks.request(name, { mode }, work) as Promise<T>) : work(),
  };
}

export const noNeighbours: Neighbours = {
  canLock: true,
  tell: () => undefined,
  listen: () => () => undefined,
  locked: (_mode, work) => work(),
};
