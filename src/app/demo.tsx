import { useEffect, useRef } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useChangePrefs } from '@/data/device/prefs';
import { useChooseSpace } from '@/data/garden/garden';

/** The demo's own address: opens the demo patch, whatever was open before. */
export default function Demo() {
  const choose = useChooseSpace();
  const router = useRouter();
  const change = useChangePrefs();
  // `/demo?guide=1`: whoever only wants to learn is led through one flower.
  const guided = useLocalSearchParams<{ guide?: string }>().guide === '1';
  const begun = useRef(false);
  useEffect(() => {
    // Once: choosing renders everything anew, and that must not choose again.
    if (begun.current) return;
    begun.current = true;
    void (guided ? change({ guided }) : Promise.resolve())
      .then(() => choose('demo'))
      .then(() => router.replace('/'));
  }, [choose, change, guided, router]);
  return null;
}
