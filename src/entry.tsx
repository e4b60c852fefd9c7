import '@expo/metro-runtime';
import type { ComponentProps, ComponentType } from 'react';
import { registerRootComponent } from 'expo';
import { ExpoRoot } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import { piece, usePiece } from './data/device/pieces';

type Routes = ComponentProps<typeof ExpoRoot>['context'];
type Screen = ComponentType<object>;

const routes = ctx as Routes;

/** A route whose code comes when it is first opened; the router takes it for one that is here. */
function later(key: string): { readonly default: Screen } {
  const code = piece(async () => (await routes(key)) as { readonly default: Screen });
  return {
    default: function Later(props) {
      const found = usePiece(code);
      return found ? <found.default {...props} /> : null;
    },
  };
}

/** Layouts hold the screens together and have an ErrorBoundary of their own: those are the router's to wait for. */
const LAYOUT = /\/_layout\.tsx$/;
const screens = new Map(
  routes
    .keys()
    .filter((key) => !LAYOUT.test(key))
    .map((key) => [key, later(key)]),
);
const context: Routes = Object.assign((key: string) => screens.get(key) ?? (routes(key) as unknown), {
  keys: () => routes.keys(),
  resolve: (key: string) => routes.resolve(key),
  id: routes.id,
});

registerRootComponent(() => <ExpoRoot context={context} />);
