/** The first screen of all in words: the page that stands before the app has started says the same. */
export const FIRST_WORDS = {
  title: 'Steady Trowel',
  heading: 'Shut in the evening, worked at dawn, watched till it sets.',
  lead: 'For people who pollinate by hand: squash, melons, cucumbers, gourds and corn; tomatoes, peppers, aubergines, potatoes, strawberries. Which flowers to shut tonight and which to work this morning, for pure seed, for a cross or for the fruit; whose pollen, and what became of each.',
  kept: 'Everything you record stays in this browser, and in the files you export. It works with no network.',
  begin: 'Begin my patch',
  demo: 'Look round the demo patch',
  file: 'I have a file from another device',
} as const;
