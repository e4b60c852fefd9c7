interface Step {
  readonly title: string;
  readonly text: string;
  /** Where it goes on, if not here. */
  readonly to?: { readonly title: string; readonly path: '/' | '/fruit' | '/begin' };
}

/** What to do next on the way to one flower pollinated, from where one stands and what one has done. */
export function guideStep(
  path: string,
  done: { readonly picked: boolean; readonly worked: boolean },
): Step | null {
  // Visitors who look about elsewhere are left in peace.
  if (!['/', '/round', '/fruit'].includes(path)) return null;
  if (done.worked)
    return path === '/round'
      ? {
          title: 'One flower done',
          text: 'Its father, its tool and its mark are written down. Go on with the next, or press Leave: the round can be taken up again.',
        }
      : path === '/fruit'
        ? {
            title: 'What became of others',
            text: 'This is what sets and what drops. A look some days after the work gives the verdict. That is all there is to it: every evening and every dawn are like this one.',
          }
        : {
            title: 'That was a dawn',
            text: 'In some days a look tells whether the fruit set. See under Fruit what became of earlier ones.',
            to: { title: 'Show me Fruit', path: '/fruit' },
          };
  if (path === '/round')
    return done.picked
      ? {
          title: 'Now one female',
          text: 'Say how you find her tape: the demo tells what you would see. Then press the green key: pollinated, shut again, marked.',
        }
      : {
          title: 'First the males',
          text: 'Their pollen is needed before any female is opened. Press the large key at the bottom: you have them in your hand.',
        };
  return path === '/'
    ? {
        title: 'This is dawn: do one flower',
        text: 'Last evening these flowers were shut, so no bee has been in them. Press the green key that starts the round.',
      }
    : { title: 'One flower first', text: 'The round begins on Today.', to: { title: 'Today', path: '/' } };
}
