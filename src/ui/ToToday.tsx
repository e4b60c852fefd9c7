import { useRouter } from 'expo-router';
import { Button } from './controls';

/** The way back from what belongs to the day. */
export function ToToday() {
  const router = useRouter();
  return (
    <Button title="Today" label="Back to Today" look="quiet" small onPress={() => router.navigate('/')} />
  );
}
