import { useEffect, useRef, useState } from 'react';
// @ts-expect-error react-native-web has it and the types of react-native do not: a camera needs the browser's own video.
import { View, unstable_createElement } from 'react-native';
import { pixelsOf, readCodes, readCodesIn } from '@/data/marks/codes';
import { pickFile } from '@/data/device/files';
import { Button, Notice } from '../controls';
import { Txt } from '../theme';

/** How long between two looks through the camera, ms. */
const LOOK_EVERY_MS = 250;

/** Reads the square code of a tag, by the camera where the browser lends one, or from a picture. */
export function CodeCamera({ onCode }: { onCode: (text: string) => void }) {
  const [looking, setLooking] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const camera = typeof navigator !== 'undefined' && 'mediaDevices' in navigator;
  const fromPicture = async () => {
    const file = await pickFile('image/*');
    if (!file) return;
    setSaid('Reading …');
    try {
      const [code, ...others] = await readCodesIn(file);
      if (code === undefined)
        setSaid(
          'No code was found in this picture. Take it nearer, straight on, with the whole square on it.',
        );
      else {
        setSaid(
          others.length > 0 ? `${others.length + 1} codes are in this picture; this is the first.` : null,
        );
        onCode(code);
      }
    } catch (error) {
      setSaid((error as Error).message);
    }
  };
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {camera ? (
          <Button
            title={looking ? 'Stop the camera' : 'Use the camera'}
            grow
            onPress={() => {
              setSaid(null);
              setLooking(!looking);
            }}
          />
        ) : null}
        <Button title="From a picture" grow onPress={() => void fromPicture()} />
      </View>
      {looking ? (
        <Camera
          onCode={(text) => {
            setLooking(false);
            onCode(text);
          }}
          onProblem={(problem) => {
            setLooking(false);
            setSaid(problem);
          }}
        />
      ) : null}
      {said ? <Notice tone="pollen" text={said} /> : null}
    </View>
  );
}

function Camera({
  onCode,
  onProblem,
}: {
  onCode: (text: string) => void;
  onProblem: (words: string) => void;
}) {
  const video = useRef<HTMLVideoElement | null>(null);
  const told = useRef({ onCode, onProblem });
  useEffect(() => {
    told.current = { onCode, onProblem };
  });
  useEffect(() => {
    let stream: MediaStream | null = null;
    let timer: ReturnType<typeof setTimeout> | null = null;
    let over = false;
    const look = async () => {
      const pixels = video.current && pixelsOf(video.current);
      const [code] = pixels ? await readCodes(pixels) : [];
      if (over) return;
      if (code !== undefined) told.current.onCode(code);
      else timer = setTimeout(() => void look().catch(fail), LOOK_EVERY_MS);
    };
    const fail = (error: unknown) => {
      if (!over) told.current.onProblem(problemWords(error));
    };
    const open = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
      if (over || !video.current) return stream.getTracks().forEach((track) => track.stop());
      video.current.srcObject = stream;
      await video.current.play();
      await look();
    };
    void open().catch(fail);
    return () => {
      over = true;
      if (timer) clearTimeout(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <>
      {unstable_createElement('video', {
        ref: video,
        muted: true,
        playsInline: true,
        'aria-label': 'What the camera sees',
        style: { width: '100%', maxHeight: 320, objectFit: 'cover', borderRadius: 8 },
      })}
      <Txt size="label" tone="muted">
        Hold it over the square of the tag. The picture stays on this phone.
      </Txt>
    </>
  );
}

function problemWords(error: unknown): string {
  const { name, message } = error as Error;
  if (name === 'NotAllowedError')
    return 'The camera was not allowed. Allow it in the browser, or use a picture.';
  if (name === 'NotFoundError') return 'There is no camera here. Use a picture, or key the mark.';
  return `The camera does not answer: ${message}`;
}
