import type { Taxon } from '@ellop/core'
import type { ReactNode } from 'react'
import { stand } from './flower'
import { fruitOf } from './fruit'
import { drawState } from './index'
import { BROWN_LINE, DEEP, LEAF, LINE, SOIL_LINE } from './ink'
import { wholeLeaf, type LeafLook } from './leaf'

const SOIL_y = 150
const TREE_LIKE = ['tree', 'shrub']

/** A plant of the catalogue drawn from its characters: how it stands, its leaf, flower and fruit, and what is under the ground. */
export function PlantSketch({ taxon, told }: { taxon: Taxon; told?: string }) {
  const first = (character: string) => taxon.characters[character]?.[0]
  const look: LeafLook = {
    type: first('leafType'),
    shape: first('leafShape'),
    margin: first('leafMargin'),
  }
  const flower = first('inflorescence')
  const colour = first('flowerColour')
  const fruit = first('fruit')
  const ripe = taxon.characters['fruitColour']?.at(-1)
  const conifer = first('leafType') === 'needle' && taxon.characters['needleSeat'] !== undefined
  const cone = first('cone')
  const under = first('underground')
  const habit = first('habit') ?? 'erect'
  const woody = TREE_LIKE.includes(habit)
  const insets: readonly (readonly [string, ReactNode])[] = [
    ...(taxon.lifeForm === 'lichen'
      ? []
      : [['leaf', conifer ? drawState('needleSeat', first('needleSeat') ?? '') : leafInset(look)] as const]),
    ...(cone === undefined || cone === 'none' ? [] : [['cone', drawState('cone', cone)] as const]),
    ...(flower === undefined ? [] : [['flower', stand(flower, colour)] as const]),
    ...(fruit === undefined ? [] : [['fruit', fruitOf(fruit, ripe)] as const]),
  ]
  return (
    <svg
      viewBox="0 0 220 220"
      className="plant-sketch"
      {...(told === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': told })}
    >
      {inPlace(conifer && habit === 'tree' ? 'conifer' : habit, taxon, look, woody ? undefined : flower, colour)}
      {habit !== 'floating' && habit !== 'emergent' && (
        <path d={`M2 ${SOIL_y}Q36 ${SOIL_y - 4} 70 ${SOIL_y}T138 ${SOIL_y}`} {...SOIL_LINE} />
      )}
      {under !== undefined && (
        <g transform={`translate(26 ${SOIL_y - 18}) scale(1.05)`}>{belowOnly(drawState('underground', under))}</g>
      )}
      {insets.map(([what, drawing], index) => (
        <g key={what} transform={`translate(150 ${4 + index * 72}) scale(0.82)`}>
          {drawing}
        </g>
      ))}
    </svg>
  )
}

/** A drawing from under the ground without its own line of soil and shoot. */
function belowOnly(drawing: ReactNode): ReactNode {
  return (
    <g>
      <clipPath id="below">
        <rect x={-10} y={19} width={110} height={80} />
      </clipPath>
      <g clipPath="url(#below)">{drawing}</g>
    </g>
  )
}

function leafInset(look: LeafLook): ReactNode {
  return wholeLeaf(40, 78, 0, look.type === 'pinnate' || look.type === 'twice-divided' ? 60 : 70, look)
}

/** The plant as it stands, at its own pace: the soil at 150, the top at about 10. */
function inPlace(
  habit: string,
  taxon: Taxon,
  look: LeafLook,
  flower: string | undefined,
  colour: string | undefined,
): ReactNode {
  if (taxon.lifeForm === 'lichen')
    return <g transform={`translate(14 44) scale(1.3)`}>{drawState('thallusColour', taxon.characters['thallusColour']?.[0] ?? 'grey')}</g>
  const onTop = (x: number, y: number, scale: number) =>
    flower === undefined || flower === 'axillary-cluster' ? null : (
      <g transform={`translate(${x - 40 * scale} ${y - 78 * scale}) scale(${scale})`}>{stand(flower, colour)}</g>
    )
  const leaves = (x: number, from: number, to: number, size: number) => onStem(taxon, look, x, from, to, size)
  switch (habit) {
    case 'tree':
      return (
        <g>
          <path d="M64 150L66 84H74L78 150Z" fill="#8a7355" stroke={DEEP} strokeWidth={1.8} />
          <path d="M70 8Q104 0 112 30Q134 44 118 68Q112 92 84 88Q70 98 56 88Q28 92 22 68Q6 44 28 30Q36 0 70 8Z" {...LEAF} />
          <path d="M70 84V52M70 66L52 48M70 60L90 42" {...BROWN_LINE} />
        </g>
      )
    case 'conifer':
      return (
        <g>
          <path d="M66 150V130H74V150Z" fill="#8a7355" stroke={DEEP} strokeWidth={1.8} />
          <path d="M70 6L90 46H80L102 84H88L114 132H26L52 84H38L60 46H50Z" {...LEAF} fill="#86a56a" />
        </g>
      )
    case 'shrub':
      return (
        <g>
          <path d="M70 150V96M70 150L40 86M70 150L100 86M70 128L56 92M70 128L86 92" {...BROWN_LINE} strokeWidth={4} />
          <path d="M70 44Q96 30 106 54Q130 62 120 88Q116 110 90 104Q70 114 50 104Q24 110 20 88Q10 62 34 54Q44 30 70 44Z" {...LEAF} opacity={0.86} />
          <path d="M70 150V100M70 150L44 92M70 150L96 92" {...BROWN_LINE} strokeWidth={3} />
        </g>
      )
    case 'rosette':
      return (
        <g>
          {flower !== undefined && <path d="M70 150V84" {...LINE} />}
          {onTop(70, 86, 0.95)}
          {[-80, -52, -26, 26, 52, 80].map((turn) => wholeLeaf(70, 148, turn, 62, look))}
        </g>
      )
    case 'prostrate':
    case 'mat':
      return (
        <g>
          <path d="M70 148Q44 128 10 140M70 148Q96 128 130 140" {...LINE} />
          {[16, 34, 52, 88, 106, 124].map((x, index) => wholeLeaf(x, 138 - Math.abs(70 - x) * 0.02, index % 2 === 0 ? -30 : 30, 34, look))}
          {onTop(70, 148, 0.72)}
        </g>
      )
    case 'climbing':
      return (
        <g>
          <path d="M70 150V6" {...BROWN_LINE} strokeWidth={6} />
          <path d="M52 150Q100 132 70 108Q40 88 70 66Q100 48 70 26Q54 14 66 6" {...LINE} strokeWidth={3} />
          {[[88, 130], [50, 92], [94, 54], [52, 20]].map(([x = 0, y = 0], index) => wholeLeaf(x, y, index % 2 === 0 ? 70 : -70, 36, look))}
        </g>
      )
    case 'floating':
      return <g transform="translate(2 10) scale(1.7)">{drawState('habit', 'floating')}</g>
    case 'emergent':
      return (
        <g>
          {look.type === 'strap' ? (
            <path d="M44 190Q46 90 30 14M62 190Q62 80 62 8M80 190Q80 90 84 12M98 190Q98 90 116 18" {...LINE} strokeWidth={7} stroke={LEAF.stroke} />
          ) : (
            [-34, -10, 14, 36].map((turn) => wholeLeaf(70, 150, turn, 104, look))
          )}
          {onTop(72, 96, 0.95)}
          <path d="M4 138q8 -5 16 0t16 0t16 0t16 0t16 0t16 0t16 0t16 0" {...LINE} stroke="#6a93a8" />
        </g>
      )
    default:
      return (
        <g>
          <path d="M70 150V66" {...LINE} strokeWidth={3.4} />
          {leaves(70, 138, 76, 40)}
          {onTop(70, 70, 0.86)}
        </g>
      )
  }
} // prettier-ignore

/** Leaves on an upright stem, set as the record says they are set. */
function onStem(taxon: Taxon, look: LeafLook, x: number, from: number, to: number, size: number): ReactNode {
  const [how = 'alternate'] = (taxon.characters['leafArrangement'] ?? []).filter((each) => each !== 'basal-rosette')
  const levels = Array.from({ length: 4 }, (_, index) => from - ((from - to) * index) / 3)
  const at = (y: number, turn: number, row: number) => wholeLeaf(x, y, turn, size * (1 - row * 0.14), look)
  return levels.map((y, row) => {
    if (how === 'opposite') return [at(y, 62, row), at(y, -62, row)]
    if (how === 'whorled') return [-80, -40, 40, 80].map((turn) => at(y, turn, row))
    return at(y, row % 2 === 0 ? 58 : -58, row)
  })
}
