// Stands in for the router's native stacks, tabs and menus, and for pages of its own: this app uses none of them.
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
