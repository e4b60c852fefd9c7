import { useRouter } from 'expo-router';
import { Button } from '@/ui/controls';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

export default function NotFound() {
  const router = useRouter();
  return (
    <Page
      title="Nothing grows here"
      foot={<Button title="Go to Today" look="main" onPress={() => router.replace('/')} />}
    >
      <Txt>There is no such page in Steady Trowel. Your records are untouched.</Txt>
    </Page>
  );
}
