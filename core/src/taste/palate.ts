import type { Protocol, Use } from '../flora/taxon'
import type { PalateNote, TasteFact } from '../lot/lotState'
import { enoughAt } from './forecast'

/** What a tongue tells of food, in the order in which it is asked. */
export const PALATE_NOTES: readonly PalateNote[] = ['bitter', 'astringent', 'acrid', 'sour', 'salt', 'sweet', 'resin']

/** From here up, of ten, a note is asked what to do about. */
export const TOO_MUCH = 4
/** A note that most tables take gladly. */
const PLEASANT = 2

/** What covers a note, the best first, and what makes it worse [common kitchen knowledge; Keast & Breslin 2002 on mixtures]. */
const MASKS: Readonly<Record<PalateNote, { readonly by: readonly string[]; readonly not: string }>> = {
  bitter: { by: ['fat (oil, cream, nuts)', 'salt', 'a little sweet', 'roasting'], not: 'Acid alone makes it sharper.' },
  astringent: {
    by: ['milk, cream or egg, which bind it', 'fat', 'a little sweet'],
    not: 'Acid and tea make it drier.',
  },
  acrid: { by: ['longer cooking', 'fat', 'milk'], not: 'Alcohol and heat spread it.' },
  sour: {
    by: ['sweet', 'fat', 'a pinch of soda, no more'],
    not: 'Only what was sour when fresh, or was soured: else it has turned, and is thrown away.',
  },
  salt: {
    by: ['more of the food without salt', 'potato or grain', 'a little acid'],
    not: 'Boiling it down makes it saltier.',
  },
  sweet: { by: ['acid', 'bitter leaves', 'a little salt'], not: '' },
  resin: { by: ['fat', 'citrus or vinegar', 'sweet'], not: 'Longer boiling draws more of it out.' },
}

/** One thing that may be done about a note. */
export interface PalateAdvice {
  readonly note: PalateNote
  readonly kind: 'water' | 'cook' | 'blend' | 'cover' | 'other-use' | 'compost'
  readonly text: string
}

/** How strongly each note was tasted, the aftertaste counted in where it was worse. */
export function notesOf({
  bitter,
  astringent,
  notes = {},
  aftertaste = 0,
}: TasteFact): Readonly<Record<PalateNote, number>> {
  const lingering =
    bitter >= astringent ? { bitter: Math.max(bitter, aftertaste) } : { astringent: Math.max(astringent, aftertaste) }
  const none = { acrid: 0, sour: 0, salt: 0, sweet: 0, resin: 0 }
  return { ...none, ...notes, bitter, astringent, ...lingering }
}

/** What counts of a taste when it is decided by: the worst of bitter, dry and what lingers (practice: the worse of first hit and aftertaste). */
export function harshness({
  bitter,
  astringent,
  aftertaste = 0,
}: Pick<TasteFact, 'bitter' | 'astringent' | 'aftertaste'>): number {
  return Math.max(bitter, astringent, aftertaste)
}

/**
 * The share of a note's food in a mixture with bland food that brings the note down, 0 to 1: by the response that the forecast uses,
 * score = 10x/(1+x), x falling with the share. @example blendShare(6, 2) // 0.167
 */
export function blendShare(score: number, wanted: number): number {
  if (score <= wanted) return 1
  return enoughAt(wanted) / enoughAt(Math.min(score, 9.9))
}

/**
 * What may be done about what was tasted, worst note first, the thing that helps most first. For taste alone: where a note is a hazard's
 * (a leach that is not finished, an acrid plant that must be cooked), the gate says what must be done, and this adds nothing to it.
 */
export function palateAdvice(taste: TasteFact, use: Use, protocol: Protocol | undefined): readonly PalateAdvice[] {
  const found = Object.entries(notesOf(taste))
    .map(([note, score]) => ({ note: note as PalateNote, score }))
    .filter(({ note, score }) => score >= TOO_MUCH && !(note === 'sweet' && score < 7))
    .sort((a, b) => b.score - a.score)
  return found.flatMap(({ note, score }) => adviceOn(note, score, use, protocol))
}

function adviceOn(note: PalateNote, score: number, use: Use, protocol: Protocol | undefined): readonly PalateAdvice[] {
  const say = (kind: PalateAdvice['kind'], text: string): PalateAdvice => ({ note, kind, text })
  const ops = new Set((protocol?.steps ?? []).map(({ op }) => op))
  const watered = [...ops].some((op) => WATER_OPS.includes(op))
  const share = Math.round(100 * blendShare(score, PLEASANT))
  const { by, not } = MASKS[note]
  // What lay in water and is sour has soured: it is never covered.
  if (note === 'sour' && [...ops].some((op) => SOAKING_OPS.includes(op)))
    return [say('compost', 'What lay in water and tastes sour has turned. Throw it away, and taste no more of it.')]
  const others = use.dishes.filter((dish) => STRONG_DISHES.some((word) => dish.includes(word)))
  return [
    ...(SOLUBLE.includes(note) && watered
      ? [say('water', 'Another change of water takes more of it out; the texture goes too.')]
      : []),
    ...(note === 'acrid'
      ? [say('cook', 'Cook it on: what pricks and burns in such plants goes with heat, not with seasoning.')]
      : []),
    ...(share < 100 && note !== 'acrid'
      ? [
          say(
            'blend',
            `Blend it: ${share} g of this in every 100 g, the rest bland greens or grain, brings it to ${PLEASANT} of 10.`,
          ),
        ]
      : []),
    say('cover', `Cover it with ${by.slice(0, 3).join(', or ')}. ${not}`.trim()),
    ...(score >= HOPELESS
      ? [
          ...(others.length > 0 ? [say('other-use', `Use it where little goes far: ${others.join(', ')}.`)] : []),
          say('compost', 'Or let it go: two bites nourish nobody.'),
        ]
      : []),
  ]
}

const SOLUBLE: readonly PalateNote[] = ['bitter', 'astringent', 'salt', 'sour']
const SOAKING_OPS = ['leach-static', 'leach-hot', 'leach-running', 'soak-cold']
const WATER_OPS = ['blanch', 'boil', 'simmer', ...SOAKING_OPS]
const STRONG_DISHES = ['season', 'tea', 'syrup', 'salt', 'vinegar', 'pesto', 'bitters', 'relish', 'soup']
/** From here up covering does not do. */
const HOPELESS = 8
