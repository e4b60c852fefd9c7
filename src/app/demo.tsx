import { useEffect, useRef } from 'react';
import { useRouter } from 'expo-router';
import { useChooseSpace } from '@/data/garden/garden';

/** The demo's own address: opens the demo patch, whatever was open before. */
export default function Demo() {
  const choose = useChooseSpace();
  const router = useRouter();
  const begun = useRef(false);
  useEffect(() => {
    // Once: choosing renders everything anew, and that must not choose again.
    if (begun.current) return;
    begun.current = true;
    void choose('demo').then(() => router.replace('/'));
  }, [choose, router]);
  return null;
}
