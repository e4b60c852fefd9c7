import { hasCone, type Closure, type Crop, type Tool } from '../crops';

/** What the hands do at a flower, in order; short, to be read with one eye. */
export function workSteps(crop: Crop, tool: Tool, closure: Closure): readonly string[] {
  if (crop.family === 'corn')
    return [
      'Bend the bagged tassel and tap it; take the bag off level and shut.',
      'Out of the breeze: shoot bag off, pour over all the silk, the tassel bag over the ear, in one movement.',
      'Fold it round the stalk and staple (mind the fingers). It stays on till harvest.',
    ];
  if (hasCone(crop) && tool === 'anthers')
    return [
      'Pull the cone of anthers off the father’s open flower.',
      'Push it over the bare stigma.',
      'Bag on.',
    ];
  if (crop.family === 'nightshade' || crop.family === 'strawberry')
    return [
      'Pollen on the tool from a bagged father: see it on the tip.',
      'Dab the stigma all over, without bending it.',
      'Bag on again.',
    ];
  const carry: Partial<Record<Tool, string>> = {
    'male-flower': 'Peel the males’ petals off, see pollen come off on a finger, hold them by their stalks.',
    brush:
      'Load the dry brush of this variety from the males: see pollen on its tip. Damp? Take another tool.',
    swab: 'Load a fresh dry swab (it packs pollen away: take more); see pollen on it. Damp? Take a new one.',
    finger: 'Load a clean dry fingertip from the males: see pollen on it.',
  };
  return [
    carry[tool] ?? 'Pollen on the tool from the males.',
    closure === 'tape'
      ? 'Ease the tape open by its tabs; keep the petals.'
      : 'Take the closure off; look for insects.',
    tool === 'male-flower'
      ? 'Twist and dab over every lobe of the stigma, each male in turn.'
      : 'Dab over every lobe of the stigma till it is yellow.',
    crop.id === 'melon' ? 'Shut it again at once; the male may stay inside.' : 'Shut it again at once.',
  ];
}

/**
 * Lobes of a cucurbit's stigma: usually three, two-parted, sometimes four (common practice). `null` where lobes are not counted.
 * @example lobesOf(cropOf('squash-maxima')) // { usual: 3, most: 4 }
 */
export function lobesOf(crop: Crop): { readonly usual: number; readonly most: number } | null {
  return crop.family === 'cucurbit' ? { usual: 3, most: 4 } : null;
}

/**
 * Seconds for which a tool is held to a flower; `null` where there is nothing to time (common practice: 3-5 s).
 * @example holdSeconds('vibration') // 4
 */
export function holdSeconds(tool: Tool): number | null {
  return tool === 'vibration' ? 4 : tool === 'brush' ? 3 : null;
}
