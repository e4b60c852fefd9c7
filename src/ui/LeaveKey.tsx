import { Key } from './controls';

/** The way out of a round, in the corner. */
export function LeaveKey({ onPress }: { onPress: () => void }) {
  return (
    <Key
      title="Leave"
      look="quiet"
      small
      label="Leave the round; it can be taken up again"
      onPress={onPress}
    />
  );
}
