import { useEffect, useRef, useState, type RefObject } from 'react';
import type { View as HostView } from 'react-native';
// d3-zoom counts on what this adds to selections, and asks for it by name only later.
import 'd3-transition';
import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import type { Corner } from '@core/ledger';
import { ROOT_ID, thingId, type View } from './scene';

/** Pixels a metre, at least and at most: from a whole valley to a single plant. */
const REACH: [number, number] = [0.02, 400];
/** How often, while something is dragged, it is asked what that would come to, ms. */
const ASK_EVERY_MS = 200;
/** A press that moved less is a tap, px. */
const TAP_PX = 6;

export interface PlanGestures {
  readonly view: View;
  readonly show: (view: View) => void;
  readonly zoomBy: (factor: number) => void;
}

interface Handlers {
  readonly chosen: string | null;
  readonly onChoose: (key: string | null) => void;
  /** Called with how far something has been dragged, m: while it moves, and once more at the end. */
  readonly onDrag: (by: Corner, done: boolean) => void;
  readonly onCorner: (index: number, to: Corner, done: boolean) => void;
  /** How far it goes when it is dragged so far. */
  readonly snap: (by: Corner) => Corner;
}

/**
 * Wheel, pinch and drag on the drawing. While something moves only an attribute of the drawing changes: the screen is drawn anew once it
 * is let go. What is chosen is dragged, everything else moves the whole plan, so that no bed is moved by a stray finger.
 */
export function usePlanGestures(
  host: RefObject<HostView | null>,
  first: View,
  handlers: Handlers,
): PlanGestures {
  const [view, setView] = useState(first);
  const now = useRef(handlers);
  const zoomer = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  useEffect(() => {
    now.current = handlers;
  });
  useEffect(() => {
    const svg = svgIn(host);
    if (!svg) return;
    svg.style.touchAction = 'none';
    const behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent(REACH)
      .clickDistance(TAP_PX)
      .filter(
        (event: Event) =>
          !(event as MouseEvent).button && (event.type === 'wheel' || !heldOf(event, now.current.chosen)),
      )
      .on('zoom', ({ transform }: { transform: ZoomTransform }) =>
        svg.querySelector(`#${ROOT_ID}`)?.setAttribute('transform', transform.toString()),
      )
      .on('end', ({ transform: { k, x, y } }: { transform: ZoomTransform }) => setView({ k, x, y }));
    zoomer.current = behaviour;
    const drawing = select(svg).call(behaviour).on('dblclick.zoom', null);
    drawing.call(behaviour.transform, zoomIdentity.translate(first.x, first.y).scale(first.k));
    drawing.on('click', (event: MouseEvent) => now.current.onChoose(keyOf(event.target)));
    drawing.call(dragging(svg, now));
    return () => {
      drawing.on('.zoom', null).on('.drag', null).on('click', null);
    };
    // Only the first view: later ones are the grower's.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const show = ({ k, x, y }: View) => {
    const svg = svgIn(host);
    if (svg && zoomer.current)
      select(svg).call(zoomer.current.transform, zoomIdentity.translate(x, y).scale(k));
  };
  const zoomBy = (factor: number) => {
    const svg = svgIn(host);
    if (svg && zoomer.current) select(svg).call(zoomer.current.scaleBy, factor);
  };
  return { view, show, zoomBy };
}

const svgIn = (host: RefObject<HostView | null>) =>
  (host.current as unknown as HTMLElement | null)?.querySelector('svg') ?? null;

/** The key of the thing that an element belongs to; `null` on bare ground. */
function keyOf(target: EventTarget | null): string | null {
  const found = (target as Element | null)?.closest?.('[id^="thing-"]');
  return found ? found.id.slice('thing-'.length) : null;
}

type Held = { readonly corner: number } | 'thing';

/** What a press takes hold of: a corner of what is chosen, or the whole of it. */
function heldOf(event: Event, chosen: string | null): Held | null {
  if (chosen === null) return null;
  const target = event.target as Element | null;
  const corner = target?.closest?.('[id^="corner-"]');
  if (corner) return { corner: Number(corner.id.slice('corner-'.length)) };
  return keyOf(target) === chosen ? 'thing' : null;
}

/** Dragging of what is chosen, by mouse and by finger. */
function dragging(svg: SVGSVGElement, now: RefObject<Handlers>) {
  let held: Held | null = null;
  let start: Corner = [0, 0];
  let k = 1;
  let lifted: Lifted | null = null;
  const ask = seldom(ASK_EVERY_MS);
  return drag<SVGSVGElement, unknown>()
    .clickDistance(TAP_PX)
    .filter((event: Event) => !(event as MouseEvent).button && heldOf(event, now.current.chosen) !== null)
    .on('start', ({ x, y, sourceEvent }: { x: number; y: number; sourceEvent: Event }) => {
      held = heldOf(sourceEvent, now.current.chosen);
      start = [x, y];
      k = zoomScale(svg);
      lifted = lift(
        svg,
        held === 'thing' ? thingId(now.current.chosen ?? '') : `corner-${held?.corner ?? ''}`,
      );
    })
    .on('drag', ({ x, y }: { x: number; y: number }) => {
      const by: Corner = [(x - start[0]) / k, (y - start[1]) / k];
      const to = held === 'thing' ? now.current.snap(by) : by;
      lifted?.moveTo(to[0] * k, to[1] * k);
      if (held === 'thing') ask(() => now.current.onDrag(to, false));
      else if (held) {
        const { corner } = held;
        ask(() => now.current.onCorner(corner, by, false));
      }
    })
    .on('end', ({ x, y }: { x: number; y: number }) => {
      ask(null);
      lifted?.putDown();
      lifted = null;
      const by: Corner = [(x - start[0]) / k, (y - start[1]) / k];
      if (Math.hypot(x - start[0], y - start[1]) < TAP_PX) return;
      if (held === 'thing') now.current.onDrag(now.current.snap(by), true);
      else if (held) now.current.onCorner(held.corner, by, true);
    });
}

/** A copy of a shape above the drawing, and the pale shape where it was. */
interface Lifted {
  readonly moveTo: (xPx: number, yPx: number) => void;
  readonly putDown: () => void;
}

/** Lifts a shape into a drawing of its own, which the browser can move without painting anything again. */
function lift(svg: SVGSVGElement, id: string): Lifted | null {
  const shape = svg.querySelector<SVGElement>(`[id="${id}"]`);
  const root = svg.querySelector(`#${ROOT_ID}`);
  if (!shape || !root) return null;
  const above = svg.cloneNode(false) as SVGSVGElement;
  const ground = root.cloneNode(false) as Element;
  const copy = shape.cloneNode(true) as Element;
  for (const each of [ground, copy]) each.removeAttribute('id');
  ground.append(copy);
  above.append(ground);
  const { left, top } = svg.getBoundingClientRect();
  Object.assign(above.style, { overflow: 'visible', touchAction: 'none' });
  // The browser has only to look for the hand in this pane; the layer in it is moved without being painted again.
  const pane = document.createElement('div');
  const layer = document.createElement('div');
  pane.setAttribute('aria-hidden', 'true');
  Object.assign(pane.style, {
    position: 'fixed',
    inset: '0',
    zIndex: '1000',
    overflow: 'hidden',
    contain: 'strict',
  });
  Object.assign(layer.style, {
    position: 'absolute',
    left: `${left}px`,
    top: `${top}px`,
    pointerEvents: 'none',
    willChange: 'transform',
  });
  layer.append(above);
  pane.append(layer);
  return {
    moveTo: (x, y) => {
      if (!pane.isConnected) {
        document.body.append(pane);
        shape.style.opacity = '0.35';
      }
      layer.style.transform = `translate3d(${x}px, ${y}px, 0)`;
    },
    putDown: () => {
      pane.remove();
      shape.style.opacity = '';
    },
  };
}

/** Does what it is given at once, then no sooner than so many milliseconds after; of what comes meanwhile the last. `null`: nothing more. */
function seldom(ms: number): (work: (() => void) | null) => void {
  let next: (() => void) | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const run = () => {
    timer = null;
    const work = next;
    next = null;
    if (!work) return;
    timer = setTimeout(run, ms);
    work();
  };
  return (work) => {
    next = work;
    if (work && timer === null) run();
  };
}

/** Pixels a metre, read off the drawing as it is. */
function zoomScale(svg: SVGSVGElement): number {
  const found = /scale\(([^)]+)\)/.exec(svg.querySelector(`#${ROOT_ID}`)?.getAttribute('transform') ?? '');
  return found ? Number(found[1]) : 1;
}
