import { useRef } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useRouter } from 'expo-router';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { PlanPanel } from '@/ui/plan/PlanPanel';
import { PlanView } from '@/ui/plan/PlanView';
import { usePlan } from '@/ui/plan/usePlan';
import { useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** Taken by the title, the keys under the drawing and the edge of the window, px. */
const AROUND_PX = 256;
const PHONE_SHARE = 0.48;

/** The patch from above, to scale: what lies where, how far that is, and what if it lay elsewhere. */
function PlanPage() {
  const plan = usePlan();
  const host = useRef<View>(null);
  // On a phone the drawing is out of sight by then; and it is there that the arrow keys work.
  const router = useRouter();
  const panel = (
    <PlanPanel
      plan={plan}
      onPicked={() => host.current?.focus()}
      onSheet={() => router.navigate('/plan-sheet')}
    />
  );
  const wide = useIsWide();
  const { height } = useWindowDimensions();
  const corner = <Button title="List" look="quiet" small onPress={() => router.navigate('/patch')} />;
  const over = 'To scale, north at the top';
  if (!wide)
    return (
      <Page title="Plan" over={over} corner={corner}>
        <PlanView plan={plan} host={host} height={Math.round(height * PHONE_SHARE)} />
        <UndoLine />
        {panel}
      </Page>
    );
  return (
    <Page
      title="Plan"
      over={over}
      corner={corner}
      banner={
        <View style={{ flexDirection: 'row', gap: 20, paddingHorizontal: 24, paddingTop: 10 }}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <PlanView plan={plan} host={host} height={Math.max(360, height - AROUND_PX)} />
          </View>
          <View style={{ width: 380, gap: 12 }}>
            <UndoLine />
            {panel}
          </View>
        </View>
      }
    >
      {null}
    </Page>
  );
}

export default gated(PlanPage);
