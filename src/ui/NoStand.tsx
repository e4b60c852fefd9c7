import { useRouter } from 'expo-router';
import { Button, Card } from './controls';
import { Txt } from './theme';

/** A round that nothing grown here asks for: why, and where that is changed. */
export function NoStand({ text }: { text: string }) {
  const router = useRouter();
  return (
    <Card>
      <Txt>{text}</Txt>
      <Button title="Go to Patch" onPress={() => router.navigate('/patch')} />
    </Card>
  );
}
