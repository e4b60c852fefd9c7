import { useRouter } from 'expo-router';
import { usePractice } from '@/data/practice/practice';
import { gated } from '@/ui/Gate';
import { Trainer } from '@/ui/practice/Trainer';
import { useTrainerChoices } from '@/ui/practice/WhatToAsk';

/** A two-minute session. */
function Train() {
  const router = useRouter();
  const { records, keep } = usePractice();
  const { choices, ready, crops } = useTrainerChoices();
  if (records === null || !ready) return null;
  return (
    <Trainer
      records={records}
      crops={crops}
      inWords={choices.inWords}
      keep={keep}
      onLeave={() => router.replace('/practice')}
    />
  );
}

export default gated(Train);
