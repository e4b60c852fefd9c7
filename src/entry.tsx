import '@expo/metro-runtime';
import type { ComponentProps } from 'react';
import { registerRootComponent } from 'expo';
import { ExpoRoot } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import { piece } from './data/device/pieces';

type Routes = ComponentProps<typeof ExpoRoot>['context'];

/** Screens that nobody opens while at work. */
const SELDOM = /^\.\/dev\//;

const routes = ctx as Routes;
const screens = new Map(
  routes
    .keys()
    .filter((key) => !SELDOM.test(key))
    .map((key) => [key, piece(async () => (await routes(key)) as object)]),
);
const context: Routes = Object.assign((key: string) => screens.get(key)?.() ?? (routes(key) as unknown), {
  keys: () => routes.keys(),
  resolve: (key: string) => routes.resolve(key),
  id: routes.id,
});

registerRootComponent(() => <ExpoRoot context={context} />);
