import { useEffect, useRef, useState, type RefObject } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import type { Draft } from '@core/ledger';
import { Button } from '../controls';
import { CORNER, Txt, useColours } from '../theme';
import { answerLine } from './words';
import { PlanDrawing } from './PlanDrawing';
import { fitted, thingKey, thingOf } from './scene';
import { usePlanGestures } from './usePlanGestures';
import type { Plan } from './usePlan';

/** How far an arrow key moves what is chosen, m; with the shift key ten times as far. */
const STEP_M = 0.5;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [0, -STEP_M],
  ArrowDown: [0, STEP_M],
  ArrowLeft: [-STEP_M, 0],
  ArrowRight: [STEP_M, 0],
};

interface PlanViewProps {
  readonly plan: Plan;
  readonly height: number;
  /** Holds the drawing, and takes its keys. */
  readonly host: RefObject<View | null>;
}

/** The drawing with what moves it: wheel, pinch, finger and keys. */
export function PlanView({ plan, height, host }: PlanViewProps) {
  const [width, setWidth] = useState<number | null>(null);
  const onLayout = ({ nativeEvent }: LayoutChangeEvent) => setWidth(Math.floor(nativeEvent.layout.width));
  return (
    <View onLayout={onLayout} style={{ minHeight: height }}>
      {width === null ? null : (
        <Measured key={`${width}x${height}`} plan={plan} width={width} height={height} host={host} />
      )}
    </View>
  );
}

function Measured({ plan, width, height, host }: PlanViewProps & { width: number }) {
  const colours = useColours();
  const { scene, chosen, asked } = plan;
  // Kept to this line: nothing else on the page renders while something is dragged.
  const say = useRef<(dragged: Draft | null) => void>(null);
  const take = (draft: Draft | null, done: boolean) => {
    say.current?.(done ? null : draft);
    if (done) plan.attempt(draft);
  };
  const { view, show, zoomBy } = usePlanGestures(host, fitted(scene.patch, width, height), {
    chosen: chosen ? thingKey(chosen) : null,
    onChoose: (key) => plan.choose(key === null ? null : thingOf(key)),
    onDrag: (by, done) => take(plan.moved(by), done),
    onCorner: (index, by, done) => take(plan.cornerMoved(index, by), done),
    snap: plan.snap,
  });
  const onKey = (event: { key: string; shiftKey: boolean; preventDefault: () => void }) => {
    const by = ARROWS[event.key];
    if (by && chosen) plan.move(event.shiftKey ? [by[0] * 10, by[1] * 10] : by);
    else if (by) show({ ...view, x: view.x - by[0] * 80, y: view.y - by[1] * 80 });
    else if (event.key === '+' || event.key === '=') zoomBy(1.4);
    else if (event.key === '-') zoomBy(1 / 1.4);
    else if (event.key === 'Escape' && plan.tried) plan.putBack();
    else if (event.key === 'Enter' && plan.tried) void plan.keep();
    else return;
    event.preventDefault();
  };
  return (
    <View>
      <View
        ref={host}
        role="application"
        tabIndex={0}
        aria-label="The plan. Choose something below; then arrows move it by half a metre, with Shift by five. Plus and minus change the scale."
        {...({ onKeyDown: onKey } as object)}
        style={{ borderWidth: 1, borderColor: colours.rule, borderRadius: CORNER, overflow: 'hidden' }}
      >
        <PlanDrawing
          scene={scene}
          view={view}
          width={width - 2}
          height={height}
          chosen={chosen ? thingKey(chosen) : null}
          corners={plan.corners}
          asked={asked}
          units={plan.units}
        />
      </View>
      <View style={{ flexDirection: 'row', gap: 6, paddingTop: 6 }}>
        <Button title="+" label="Nearer" small grow onPress={() => zoomBy(1.5)} />
        <Button title="−" label="Farther off" small grow onPress={() => zoomBy(1 / 1.5)} />
        <Button
          title="Beds"
          label="My beds"
          small
          grow
          onPress={() => show(fitted(scene.patch, width, height))}
        />
        <Button
          title="All"
          label="All that is drawn"
          small
          grow
          onPress={() => show(fitted(scene.all, width, height))}
        />
      </View>
      <Spoken plan={plan} sayRef={say} />
    </View>
  );
}

/** What the distances come to, and while something is dragged, what they would. */
function Spoken({
  plan,
  sayRef,
}: {
  plan: Plan;
  sayRef: RefObject<((dragged: Draft | null) => void) | null>;
}) {
  const [dragged, setDragged] = useState<Draft | null>(null);
  useEffect(() => {
    sayRef.current = setDragged;
  }, [sayRef]);
  const spoken = dragged ? plan.answerIf(dragged) : plan.asked;
  return (
    <Txt role="status" size="label" style={{ paddingTop: 4 }}>
      {spoken
        ? answerLine(spoken, plan.units)
        : plan.chosen
          ? 'Drag it, or move it by the arrow keys.'
          : 'Tap something to choose it; then it can be dragged.'}
    </Txt>
  );
}
