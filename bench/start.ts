import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { withBrowser } from './served';

const PORT = 8398;
const DEBUG_PORT = 9398;

/** The first start and the demo on a slow phone, as Lighthouse simulates one: how soon they stand, and how long the main thread is held. */
export async function benchStart(repeats: number): Promise<void> {
  await withBrowser(PORT, async () => {
    for (const path of ['/', '/demo']) {
      const runs = [];
      for (let i = 0; i < repeats; i++) runs.push(await measure(`http://127.0.0.1:${PORT}${path}`));
      runs.sort((a, b) => a.blockedMs - b.blockedMs);
      const middle = runs[Math.floor(runs.length / 2)];
      if (!middle) continue;
      console.log(
        `start at ${path} on a slow phone: performance ${middle.score.toFixed(2)}, largest paint ${(middle.paintMs / 1000).toFixed(1)} s, main thread blocked ${(middle.blockedMs / 1000).toFixed(2)} s, at work ${(middle.workMs / 1000).toFixed(2)} s; ${Math.round(middle.scripts / 1000)} kB of scripts`,
      );
    }
  }, [`--remote-debugging-port=${DEBUG_PORT}`]);
}

interface Report {
  readonly audits: Readonly<
    Record<
      string,
      | {
          readonly numericValue?: number;
          readonly details?: {
            readonly items?: readonly { readonly resourceType?: string; readonly transferSize?: number }[];
          };
        }
      | undefined
    >
  >;
  readonly categories: { readonly performance?: { readonly score: number | null } };
}

const LIGHTHOUSE = 'node_modules/lighthouse/cli/index.js';

/** By itself, in a process of its own: it carries functions over into the page, which must be as they were written. */
async function report(url: string, tries = 3): Promise<string> {
  try {
    const { stdout } = await promisify(execFile)(
      process.execPath,
      [LIGHTHOUSE, url, `--port=${DEBUG_PORT}`, '--only-categories=performance', '--output=json', '--quiet'],
      { maxBuffer: 100_000_000 },
    );
    return stdout;
  } catch (error) {
    // On a busy machine the trace of a page now and then lacks its beginning: then it asks to be run again.
    if (tries > 1 && /run Lighthouse again/.test(String((error as { stderr?: unknown }).stderr)))
      return report(url, tries - 1);
    throw error;
  }
}

async function measure(url: string) {
  const stdout = await report(url);
  const { audits, categories } = JSON.parse(stdout) as Report;
  const value = (audit: string) => audits[audit]?.numericValue ?? NaN;
  return {
    score: categories['performance']?.score ?? NaN,
    paintMs: value('largest-contentful-paint'),
    blockedMs: value('total-blocking-time'),
    workMs: value('mainthread-work-breakdown'),
    scripts:
      audits['resource-summary']?.details?.items?.find(({ resourceType }) => resourceType === 'script')
        ?.transferSize ?? NaN,
  };
}
