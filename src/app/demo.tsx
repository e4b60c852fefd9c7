import { useEffect } from 'react';
import { useRouter } from 'expo-router';
import { useChooseSpace } from '@/data/garden';

/** The demo's own address: opens the demo patch, whatever was open before. */
export default function Demo() {
  const choose = useChooseSpace();
  const router = useRouter();
  useEffect(() => {
    void choose('demo').then(() => router.replace('/'));
  }, [choose, router]);
  return null;
}
