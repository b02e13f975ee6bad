/**
 * What a character is and the states it can have. `group` joins characters that are not independent of one another: two
 * tells out of one group count as one. `cost` says what looking costs the plant or the looker.
 */
export interface CharacterDef {
  readonly label: string
  /** The question put to the cook, before any plant is named. */
  readonly ask: string
  readonly group: string
  readonly cost: 'look' | 'handle' | 'dig' | 'taste'
  readonly states: readonly string[]
}

const HABITATS = [
  'woodland', 'hedge', 'meadow', 'disturbed', 'riverside', 'still-water', 'bog', 'saltmarsh', 'dune', 'scrub', 'desert',
  'heath', 'mountain', 'garden', 'roadside',
] as const // prettier-ignore

function character(
  label: string,
  ask: string,
  group: string,
  cost: CharacterDef['cost'],
  states: string,
): CharacterDef {
  return { label, ask, group, cost, states: states.split(', ') }
}

/** Every character and its states, in the order of the vocabulary. */
export const CHARACTERS: Readonly<Record<string, CharacterDef>> = {
  habit: character('Habit', 'How does the whole plant grow?', 'size', 'look', 'prostrate, mat, rosette, erect, climbing, shrub, tree, floating, emergent'),
  height: character('Height', 'How tall is it?', 'size', 'look', 'under-15cm, 15-60cm, 60-200cm, over-200cm'),
  leafArrangement: character('How the leaves sit', 'How do the leaves sit on the stem?', 'leafArrangement', 'look', 'opposite, alternate, basal-rosette, whorled, bundled, spiral-all-round, two-ranked, sheathing-round-stem, fan-flat'),
  leafType: character('Kind of leaf', 'What kind of leaf is it?', 'leafForm', 'look', 'simple, palmate, pinnate, ternate, twice-divided, feathery, needle, scale, strap, round-peltate'),
  leafShape: character('Leaf shape', 'What shape is the leaf?', 'leafForm', 'look', 'heart, egg, lance, oblong, round, spatula, arrow, kidney, linear, lobed'),
  leafMargin: character('Leaf edge', 'What is the edge of the leaf like?', 'leafMargin', 'look', 'entire, crenate, serrate, lobed, spiny, backward-toothed'),
  leafBase: character('Leaf base', 'How does the leaf join the stem?', 'leafBase', 'look', 'stalked, stalkless, clasping, sheathing, central-stalk'),
  leafTexture: character('Feel of the leaf', 'How does the leaf feel?', 'leafTexture', 'handle', 'thin, fleshy, leathery, waxy, papery, deep-veined'),
  leafVeins: character('Course of the veins', 'Hold the leaf against the light. How do its veins run?', 'leafVeins', 'look', 'parallel, branching, ring-inside-edge'),
  leafSurface: character('Leaf surface', 'What is on the leaf?', 'surface', 'handle', 'hairless, downy-below, hairy-both, stinging-hairs, spiny-midrib, mealy, white-marbled, shiny'),
  stemSection: character('Stem, cut across', 'Roll the stem between your fingers. What shape is it, cut across?', 'stemSection', 'handle', 'round, square, flat-sided, ridged, three-angled'),
  stemCore: character('Inside of the stem', 'What is inside the stem?', 'stemCore', 'handle', 'hollow, pithy, solid, spongy'),
  stemSurface: character('Stem surface', 'What is on the stem?', 'surface', 'handle', 'smooth, one-line-of-hairs, hairy-all-round, stinging, thorny, purple-blotched, waxy-bloom, hooked-bristles, prickly'),
  sap: character('Sap', 'What comes out where it breaks?', 'sap', 'handle', 'clear, milky, yellow-orange, slimy, sticky-resin, none-noticeable'),
  crushedScent: character('Crushed scent', 'With clean hands: what does a crushed leaf smell of?', 'scent', 'handle', 'none, garlic-onion, celery-carrot, anise, mint, wintergreen, cucumber, fruity, resin-citrus, cabbage-mustard, chamomile, mousy-foul, sweet-hay, almond'),
  taste: character('Taste', 'What does a crumb taste of? Spit it out.', 'taste', 'taste', 'not-to-be-tasted, mild, sour, bitter, salty, peppery, sweet'),
  flowerColour: character('Flower colour', 'What colour are the flowers?', 'flowerColour', 'look', 'white, cream, yellow, orange, pink, red, purple, blue, green, brown'),
  flowerSymmetry: character('Flower form', 'Is the flower even all round, or does it have a left and a right?', 'flowerForm', 'look', 'regular, two-sided, none-visible'),
  petals: character('Petals', 'How many petals?', 'flowerForm', 'look', '3, 4, 5, 5-deeply-split, 6, many, composite-head, none'),
  inflorescence: character('How the flowers stand', 'How do the flowers stand together?', 'inflorescence', 'look', 'solitary-leafless-stalk, solitary, umbel, compound-umbel, raceme, spike, panicle, head, cluster-flat, cigar-spike, axillary-cluster, catkin'),
  fruit: character('Fruit', 'What kind of fruit is it?', 'fruit', 'look', 'capsule, pod, berry-single, berry-compound, drupe, aril, nut-in-cup, winged, burr, dry-with-parachute, split-pair, pepo, hip, pome, nutlet'),
  fruitColour: character('Fruit colour', 'What colour is the fruit?', 'fruitColour', 'look', 'green, red, orange, yellow, blue-black, purple, brown, white'),
  underground: character('Underground', 'What is under the ground?', 'underground', 'dig', 'tap-root-long, tap-root-swollen-chambered, fibrous, rhizome, tuber, corm-coated, bulb-coated, bulb-scaly, globose-root, cluster-of-tubers'),
  needleSection: character('Needle section', 'Roll one needle between your fingers. What shape is it, cut across?', 'needle', 'look', 'flat, four-sided, half-round'),
  needleSeat: character('Seat of the needle', 'How does the needle sit on the twig?', 'needle', 'look', 'peg, flush-disc, bundle-sheath, decurrent'),
  cone: character('Cone', 'What are the cones like?', 'cone', 'look', 'hanging, upright, three-pronged-bracts, small-round, none'),
  bark: character('Bark', 'What is the bark like?', 'bark', 'look', 'smooth-pale, furrowed, knobbly, peeling, papery'),
  fruitTip: character('Tip of the fruit', 'Turn the fruit up. What is at its tip, away from the stalk?', 'fruit', 'look', 'crown, calyx-star, withered-flower, open-cup, plain'),
  leafJoint: character('Joint of leaf and stem', 'What is at the joint where the leaf leaves the stem?', 'leafJoint', 'look', 'plain, papery-sheath, stipules, swollen'),
  tendrils: character('What it climbs with', 'Does it hold on with anything?', 'tendrils', 'look', 'none, coiled, clinging-roots'),
  frondStalk: character('Stalk of the frond', 'What is the stalk of the frond like?', 'frondStalk', 'look', 'deep-groove-smooth, brown-scales, furry, smooth-round'),
  thallusColour: character('Colour of the lichen', 'What colour is it when dry?', 'thallus', 'look', 'brown, grey, yellow-green'),
  umbelBracts: character('Small leaves under the umbel', 'What stands under the whole umbel and its parts?', 'umbelBracts', 'look', 'none, few-or-many, feathery, bent-back, long-hanging'),
  leafFoot: character('Foot of the blade', 'Look where the blade meets its stalk. What shape is its foot?', 'leafForm', 'look', 'lobes-pointing-back, lobes-pointing-out, rounded, wedge'),
  headRays: character('Rim of the flower head', 'Look at one flower head. What stands round its rim?', 'flowerColour', 'look', 'yellow-straps, white-straps, purple-straps, no-straps, straps-all-through'),
  headBracts: character('Green leaves under the head', 'Turn one flower head over. How do the green leaves that hold it stand?', 'headBracts', 'look', 'one-even-row, overlapping-rows, outer-row-bent-down, spine-tipped, hooked'),
  rimFlowers: character('Rim of the flower cluster', 'Look at one flat cluster. What are the flowers at its rim like?', 'flowerForm', 'look', 'all-alike, large-at-the-rim'),
  umbelRays: character('Rays of the umbel', 'On a stem that was never mown or cut, count the stalks of the topmost umbel. How many spring from its one point?', 'umbelRays', 'look', 'under-30, over-30'),
  clusterSeat: character('Seat of the flower clusters', 'Where on the stem do the flower clusters sit, and do they branch?', 'inflorescence', 'look', 'at-the-tip, at-the-leaf-joints-branched, at-the-leaf-joints-unbranched'),
  habitatSeen: character('Where it grows', 'What sort of place is this?', 'habitat', 'look', HABITATS.join(', ')),
} // prettier-ignore

/** Characters of what a plant sheds: found on the ground it may be the neighbour's. */
export const FALLS: readonly string[] = [
  'fruit', 'fruitColour', 'fruitTip', 'cone', 'needleSection', 'leafType', 'leafShape', 'leafMargin', 'bark',
] // prettier-ignore

/** The parts of a plant that can be food, in the words of the vocabulary. */
export const PARTS = [
  'leaf', 'leafy-top', 'shoot', 'stem', 'midrib', 'flower', 'flower-bud', 'pollen', 'fruit', 'seed', 'nut', 'root',
  'rhizome', 'corm', 'bulb', 'tuber', 'bark', 'sap', 'needle-tip', 'thallus',
] as const // prettier-ignore
export type Part = (typeof PARTS)[number]

/** The stages at which a part may be picked. */
export const STAGES = [
  'emerging', 'young', 'mature', 'in-bud', 'flowering', 'seeding', 'unripe', 'ripe', 'dormant', 'any',
] as const // prettier-ignore
export type Stage = (typeof STAGES)[number]

/** What an eater may be sensitive to. */
export const SENSITIVITIES = [
  'aspirin', 'kidney-stone', 'kidney-disease', 'anticoagulant', 'pregnancy', 'infant', 'child', 'aster-allergy',
  'latex-allergy', 'nut-allergy', 'celery-allergy', 'g6pd', 'liver-disease', 'low-sodium', 'diabetes',
  'immunocompromised', 'heart-medicine', 'legume-allergy', 'pollen-allergy', 'bowel-disease', 'gluten-intolerance',
  'milk-allergy', 'egg-allergy', 'fish-allergy', 'crustacean-allergy', 'mollusc-allergy', 'peanut-allergy', 'soy-allergy', 'sesame-allergy',
  'mustard-allergy', 'lupin-allergy', 'sulphite-intolerance',
] as const // prettier-ignore
export type Sensitivity = (typeof SENSITIVITIES)[number]

export const HABITAT_STATES: readonly string[] = HABITATS

/** States whose bare name a cook could misread, in words; where botany has a word for it, it follows. */
const STATE_WORDS: Readonly<Record<string, string>> = {
  prostrate: 'lying on the ground',
  mat: 'a creeping mat',
  rosette: 'leaves from the ground (rosette)',
  erect: 'an upright stem',
  emergent: 'standing out of water',
  floating: 'floating on water',
  entire: 'smooth (entire)',
  crenate: 'round teeth (crenate)',
  serrate: 'saw teeth (serrate)',
  'backward-toothed': 'teeth pointing back',
  heart: 'heart-shaped',
  egg: 'egg-shaped',
  lance: 'spear-shaped',
  spatula: 'spoon-shaped',
  arrow: 'arrow-shaped',
  kidney: 'kidney-shaped',
  linear: 'long and narrow',
  palmate: 'like a hand (palmate)',
  pinnate: 'like a feather (pinnate)',
  ternate: 'in threes (ternate)',
  clasping: 'clasping the stem',
  sheathing: 'a sheath round the stem',
  'central-stalk': 'stalk under the middle',
  'garlic-onion': 'garlic or onion',
  'celery-carrot': 'celery or carrot',
  'resin-citrus': 'resin or citrus',
  'cabbage-mustard': 'cabbage or mustard',
  'mousy-foul': 'foul, like mice',
  'sweet-hay': 'sweet, like hay',
  'yellow-orange': 'yellow or orange',
  'none-noticeable': 'nothing to notice',
  'blue-black': 'blue or black',
  'composite-head': 'many in one head, as a daisy',
  umbel: 'umbrella (umbel)',
  'compound-umbel': 'umbrella of umbrellas (compound umbel)',
  raceme: 'stalked along one stem (raceme)',
  spike: 'stalkless along one stem (spike)',
  panicle: 'branched and loose (panicle)',
  'cluster-flat': 'flat cluster',
  decurrent: 'running down the twig',
  opposite: 'in pairs (opposite)',
  alternate: 'one by one (alternate)',
  'basal-rosette': 'all from the ground (rosette)',
  whorled: 'in rings (whorled)',
  bundled: 'in bundles',
  'spiral-all-round': 'all round the twig',
  'two-ranked': 'in two rows',
  'sheathing-round-stem': 'wrapped round one stem',
  'fan-flat': 'flat, like a fan',
  simple: 'undivided (simple)',
  'twice-divided': 'divided twice',
  strap: 'like a strap',
  'round-peltate': 'round, held in the middle (peltate)',
  'deep-veined': 'with deep veins',
  'hairy-both': 'hairy on both faces',
  'spiny-midrib': 'spines along the midrib',
  'white-marbled': 'marbled white',
  regular: 'even all round (regular)',
  'two-sided': 'with a left and a right',
  'none-visible': 'none to be seen',
  'solitary-leafless-stalk': 'one on a leafless stalk',
  solitary: 'one alone',
  'axillary-cluster': 'clusters where the leaves join (axillary)',
  capsule: 'a dry case (capsule)',
  'berry-single': 'a berry',
  'berry-compound': 'a berry of many beads',
  drupe: 'flesh round a stone (drupe)',
  aril: 'a fleshy cup (aril)',
  'nut-in-cup': 'a nut in a cup',
  'dry-with-parachute': 'dry, with a parachute',
  'split-pair': 'two dry halves',
  pepo: 'like a gourd (pepo)',
  pome: 'like a small apple (pome)',
  'tap-root-long': 'one long root (taproot)',
  'tap-root-swollen-chambered': 'a swollen root with chambers',
  fibrous: 'many thin roots',
  'corm-coated': 'a solid corm in a coat',
  'bulb-coated': 'a bulb in coats',
  'bulb-scaly': 'a bulb of scales',
  'globose-root': 'one round root',
  peg: 'on a peg',
  'flush-disc': 'on a flat disc',
  'bundle-sheath': 'in a sheathed bundle',
  'calyx-star': 'a star (calyx)',
  stipules: 'small leaves (stipules)',
}

/** A state or id in plain words. @example plainWords('still-water') // 'still water' */
export function plainWords(id: string): string {
  const words = STATE_WORDS[id]
  if (words !== undefined) return words
  return id
    .replace(/(\d)-(?=\d)/, '$1 to ')
    .replaceAll('-', ' ')
    .replace(/(\d)cm$/, '$1 cm')
}

const SENSITIVITY_WORDS: Readonly<Partial<Record<Sensitivity, string>>> = {
  aspirin: 'aspirin not borne, or taken',
  'kidney-stone': 'kidney stones',
  anticoagulant: 'blood thinners',
  pregnancy: 'pregnant',
  infant: 'baby under 1 year',
  'aster-allergy': 'daisy-family allergy',
  g6pd: 'G6PD deficiency (favism)',
  'low-sodium': 'low-salt diet',
  immunocompromised: 'weak immune system',
}

/** What applies to an eater, as it is asked and told. @example sensitivityWords('low-sodium') // 'low-salt diet' */
export function sensitivityWords(id: string): string {
  return (SENSITIVITY_WORDS as Readonly<Record<string, string | undefined>>)[id] ?? plainWords(id)
}

/** Parts of the world, as coarse as records can say where a plant grows wild. */
export const REGIONS = ['europe', 'asia', 'north-america', 'south-america', 'africa', 'australasia'] as const
export type Region = (typeof REGIONS)[number]

/** What a tell is called on screen. @example tellLabel('leafMargin') // 'Leaf edge' */
export function tellLabel(character: string): string {
  return CHARACTERS[character]?.label ?? plainWords(character)
}
