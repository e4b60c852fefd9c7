import type { Crop, Tool } from './types';

/** Whether its anthers are joined in a cone that sheds inwards and can be pulled off whole: tomato and potato. */
export function hasCone(crop: Crop): boolean {
  return crop.id === 'tomato' || crop.id === 'potato';
}

/** Whether its flowers stand in trusses that can be counted: not peppers' and aubergines', which stand alone or in twos. */
export function hasTrusses(crop: Crop): boolean {
  return hasCone(crop) || crop.family === 'strawberry';
}

/** What the hands do at an open flower that is worked for its fruit, by crop and tool (common practice). */
export function kitchenStep(crop: Crop, tool: Tool): string {
  if (crop.family === 'cucurbit')
    return tool === 'male-flower'
      ? 'Peel a male, twist and dab over every lobe, leave the flower open: insects may add to it.'
      : 'See pollen on the tip, dab over every lobe, leave the flower open: insects may add to it.';
  if (crop.family === 'strawberry')
    return tool === 'fan'
      ? 'A fan over open flowers moves part of the pollen (indoors about a fifth of the crop): brush the rest. Keep it away from water.'
      : 'Round the whole middle of each open flower, about 3 seconds.';
  if (tool === 'vibration')
    return hasCone(crop)
      ? 'Hold the truss from below and the vibrating tool to its stalk, 3-5 seconds: a puff of pollen means a near-certain set. In the middle of the day, when it is dry. Mains tools well away from water.'
      : 'The vibrating tool to the flower’s stalk, 3-5 seconds, in the dry middle of the day.';
  if (tool === 'shaking' || tool === 'fan')
    return 'Shake or tap the plant so that its open flowers tremble, in the dry middle of the day.';
  return 'Turn the dry tip inside each open flower, over anthers and stigma: see pollen on it.';
}
