import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Gallery } from '@/ui/drawings/Gallery';
import { Button, Row } from '@/ui/controls';
import { Page } from '@/ui/Page';
import { LightProvider, lights, Txt, type LightName } from '@/ui/theme';

/** For development: every drawing there is, and how long they took to draw. */
export default function GalleryPage() {
  const [light, setLight] = useState<LightName>('day');
  const [size, setSize] = useState(84);
  const [round, setRound] = useState(0);
  return (
    <LightProvider light={light}>
      <View style={{ flex: 1, backgroundColor: lights[light].paper }}>
        <Page title="All drawings" over="For development">
          <Row>
            {(Object.keys(lights) as LightName[]).map((each) => (
              <Button key={each} small title={each} onPress={() => setLight(each)} />
            ))}
            {[40, 84, 140, 300].map((each) => (
              <Button key={each} small title={`${each} px`} onPress={() => setSize(each)} />
            ))}
            <Button small title="Draw again" onPress={() => setRound(round + 1)} />
          </Row>
          <Timed key={`${round}${light}${size}`} size={size} />
        </Page>
      </View>
    </LightProvider>
  );
}

/** Begins once the app itself has settled, so that only the drawings are timed. */
function Timed({ size }: { size: number }) {
  const [start, setStart] = useState<number | null>(null);
  const [took, setTook] = useState<number | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setStart(performance.now()), 600);
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    // Two frames on: what was rendered has been painted.
    if (start !== null)
      requestAnimationFrame(() => requestAnimationFrame(() => setTook(performance.now() - start)));
  }, [start]);
  return (
    <>
      <Txt testID="gallery-time">{took === null ? 'Drawing' : `Drawn in ${took.toFixed(0)} ms`}</Txt>
      {start === null ? null : <Gallery size={size} />}
    </>
  );
}
