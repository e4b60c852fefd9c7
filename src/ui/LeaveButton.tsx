import { Button } from './controls';

/** The way out of a round, in the corner. */
export function LeaveButton({ onPress }: { onPress: () => void }) {
  return (
    <Button
      title="Leave"
      look="quiet"
      small
      label="Leave the round; it can be taken up again"
      onPress={onPress}
    />
  );
}
