import '@expo/metro-runtime';
import { startTransition, type ComponentProps, type ComponentType } from 'react';
import { registerRootComponent } from 'expo';
import { ExpoRoot } from 'expo-router';
import { idle } from './data/device/idle';
import { laterFrom } from './data/device/later';
import { piece, usePiece, type Piece } from './data/device/pieces';
import { SCREEN_KEYS } from './screenKeys';

type Routes = ComponentProps<typeof ExpoRoot>['context'];
type Screen = ComponentType<object>;
interface Route {
  readonly default: Screen;
}

/**
 * Two pieces of code, not one for each screen: what two such pieces share would be loaded before either, so that many small ones make
 * the first screen wait for nearly everything.
 */
const first = require.context('./app', true, /^\.\/(_layout|index|demo)\.tsx$/, 'lazy');
const others = piece(() => import('./screens'));
laterFrom(() => others.fetch());

/** How long after the start the other screens are fetched, ms: the first tap need not wait for them then. */
const QUIET_MS = 4000;
setTimeout(() => {
  void idle()
    .then(() => others.fetch())
    .catch(() => undefined);
}, QUIET_MS);

// The first press may record something, and what judges an entry comes with them.
for (const press of ['pointerdown', 'keydown'])
  addEventListener(press, () => void others.fetch().catch(() => undefined), { capture: true, once: true });

/** A route whose code comes when it is first opened; the router takes it for one that is here. */
function whenHere(code: Piece<Route>): Route {
  return {
    default: function Later(props) {
      const found = usePiece(code);
      return found ? <found.default {...props} /> : null;
    },
  };
}

// The layout holds the screens together and has an ErrorBoundary of its own: that is the router's to wait for.
const LAYOUT = './_layout.tsx';
const routes = new Map([
  ...['./index.tsx', './demo.tsx'].map((key): [string, Route] => [
    key,
    whenHere(piece(() => first(key) as Promise<Route>)),
  ]),
  ...SCREEN_KEYS.map((key): [string, Route] => [
    key,
    whenHere(piece(async () => (await others.fetch()).screens(key) as Route)),
  ]),
]);
const context: Routes = Object.assign((key: string) => routes.get(key) ?? first(key), {
  keys: () => [LAYOUT, ...routes.keys()],
  resolve: (key: string) => key,
  id: 'screens',
});

// As a transition React works in slices of some milliseconds: the page answers meanwhile.
startTransition(() => registerRootComponent(() => <ExpoRoot context={context} />));
