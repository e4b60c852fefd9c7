// Stands in for what the router would bring along for stacks, tabs and menus of a telephone's own system, and for pages of its own: none
// of which this app takes.
const { createContext } = require('react');

const Nothing = () => null;

module.exports = {
  createNativeStackNavigator: () => ({ Navigator: Nothing }),
  isNativeTabTrigger: () => false,
  BottomTabBarHeightContext: createContext(undefined),
  Sitemap: Nothing,
  Unmatched: Nothing,
  getNavOptions: () => ({}),
  initScreensFeatureFlags: () => undefined,
};
