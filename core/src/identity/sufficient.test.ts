import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import { clear } from './clear'

/**
 * Looks that a field botanist would call enough, one plant a line, each written before it was asked; and of each the same looks without the
 * ones that part it from a plant that kills.
 */
const ENOUGH = `
Allium ursinum: leafBase stalked; crushedScent garlic-onion; leafTexture thin; leafArrangement basal-rosette; underground bulb-coated; inflorescence umbel; leafVeins parallel
Allium ursinum: leafBase stalked; crushedScent garlic-onion; leafTexture thin; inflorescence umbel; flowerColour white; petals 6; stemSection three-angled
Allium tricoccum: crushedScent garlic-onion; leafBase stalked; leafTexture thin; leafArrangement basal-rosette; underground bulb-coated; leafSurface hairless
Urtica dioica: leafArrangement opposite; leafMargin serrate; leafSurface stinging-hairs; stemSection square
Urtica dioica: leafArrangement opposite; leafMargin serrate; leafSurface stinging-hairs; stemSection square; stemSurface stinging; leafShape heart
Urtica urens: leafArrangement opposite; leafMargin serrate; leafSurface stinging-hairs; stemSection square; height 15-60cm
Laportea canadensis: leafArrangement alternate; leafMargin serrate; leafSurface stinging-hairs; stemSection round; stemSurface stinging
Taraxacum officinale: sap milky; leafMargin backward-toothed; leafArrangement basal-rosette; inflorescence solitary-leafless-stalk; flowerColour yellow; stemCore hollow
Taraxacum officinale: sap milky; leafMargin backward-toothed; leafArrangement basal-rosette; leafSurface hairless; stemCore hollow
Plantago lanceolata: leafMargin entire; leafTexture deep-veined; leafShape lance; stemSection ridged; leafVeins parallel; leafArrangement basal-rosette
Stellaria media: stemSurface one-line-of-hairs; sap clear; leafArrangement opposite; petals 5-deeply-split; flowerColour white
Alliaria petiolata: crushedScent garlic-onion; leafMargin crenate; leafShape kidney; petals 4; flowerColour white
Cardamine hirsuta: leafType pinnate; leafShape round; crushedScent cabbage-mustard; petals 4; flowerColour white; fruit pod
Nasturtium officinale: crushedScent cabbage-mustard; leafBase stalked; leafType pinnate; leafMargin entire; petals 4; flowerColour white; stemCore hollow
Aegopodium podagraria: leafType ternate; stemSection three-angled; stemCore hollow; crushedScent celery-carrot; leafSurface hairless; leafMargin serrate; stemSurface smooth; umbelBracts none
Chenopodium album: leafSurface mealy; leafShape egg; stemSection ridged; leafArrangement alternate; inflorescence panicle; crushedScent none
Portulaca oleracea: sap clear; leafTexture fleshy; stemSurface smooth; habit prostrate; flowerColour yellow; leafShape spatula; petals 5; fruit capsule
Malva sylvestris: sap slimy; leafType simple; leafShape round; flowerColour pink; petals 5; leafMargin crenate
Lamium amplexicaule: leafBase clasping; leafMargin crenate; leafSurface hairy-both; stemSection square; leafArrangement opposite; flowerSymmetry two-sided
Galium aparine: leafArrangement whorled; stemSurface hooked-bristles; stemSection square
Rumex acetosa: leafShape arrow; leafBase clasping; stemSection ridged; leafJoint papery-sheath; inflorescence panicle
Oxalis acetosella: leafType ternate; leafShape heart; leafMargin entire; flowerColour white; habit mat; inflorescence solitary-leafless-stalk
Claytonia perfoliata: leafBase clasping; leafTexture fleshy; sap clear; leafArrangement basal-rosette; flowerColour white; petals 5; leafType simple; height under-15cm
Sonchus oleraceus: sap milky; leafBase clasping; leafSurface hairless; leafMargin serrate; flowerColour yellow; stemCore hollow; headBracts overlapping-rows
Lactuca serriola: leafSurface spiny-midrib; sap milky; leafBase clasping; flowerColour yellow
Hypochaeris radicata: sap milky; leafSurface hairy-both; leafArrangement basal-rosette; flowerColour yellow; inflorescence solitary-leafless-stalk
Arctium lappa: leafSurface downy-below; leafShape heart; leafArrangement basal-rosette; leafTexture deep-veined; underground tap-root-long; stemCore pithy; leafMargin entire; height 60-200cm
Cirsium oleraceum: leafMargin spiny; leafSurface hairless; leafBase clasping; stemSection ridged; inflorescence head; flowerColour yellow
Viola odorata: leafShape heart; leafSurface hairy-both; leafMargin crenate; flowerColour purple; flowerSymmetry two-sided; inflorescence solitary-leafless-stalk
Crambe maritima: crushedScent cabbage-mustard; leafSurface hairless; leafTexture waxy; petals 4; flowerColour white; leafType simple
Cakile maritima: leafTexture fleshy; crushedScent cabbage-mustard; petals 4; flowerColour pink
Salicornia europaea: leafType scale; leafTexture fleshy; leafArrangement opposite; height under-15cm
Matricaria discoidea: crushedScent fruity; leafType feathery; leafSurface hairless; headRays no-straps; inflorescence head
Chamaenerion angustifolium: leafArrangement alternate; leafMargin entire; leafSurface hairless; stemSurface smooth; inflorescence raceme; flowerColour pink; petals 4; leafType simple; leafBase stalkless; fruit capsule
Reynoutria japonica: stemCore hollow; stemSurface purple-blotched; leafShape heart; leafJoint papery-sheath; leafArrangement alternate; leafType simple; height 60-200cm; leafMargin entire
Helianthus tuberosus: underground tuber; stemSurface hairy-all-round; leafSurface hairy-both; inflorescence solitary; petals composite-head; flowerColour yellow; height over-200cm
Campanula rapunculus: sap milky; leafShape spatula; leafArrangement basal-rosette; leafMargin crenate; flowerColour blue; petals 5; underground tap-root-long
Humulus lupulus: leafArrangement opposite; stemSurface hooked-bristles; leafMargin serrate; leafShape lobed; habit climbing
Typha latifolia: stemSection round; sap slimy; crushedScent none; inflorescence cigar-spike; leafArrangement two-ranked
Phragmites australis: stemCore hollow; stemSection round; leafArrangement alternate; inflorescence panicle; height over-200cm; leafType strap; leafVeins parallel
Sambucus nigra: habit shrub; leafArrangement opposite; leafType pinnate; inflorescence cluster-flat; flowerColour cream; stemCore pithy; bark furrowed; rimFlowers all-alike
Rubus fruticosus: stemSurface prickly; leafType palmate; leafMargin serrate; leafArrangement alternate; fruit berry-compound
Fragaria vesca: leafArrangement basal-rosette; leafType ternate; leafMargin serrate; fruit berry-compound; flowerColour white
Vaccinium myrtillus: habit shrub; stemSection three-angled; leafMargin serrate; leafArrangement alternate; fruit berry-single; fruitTip crown; height 15-60cm
Vaccinium vitis-idaea: habit shrub; leafArrangement alternate; leafTexture leathery; leafShape egg; fruitColour red; height under-15cm; leafType simple; leafMargin entire; fruit berry-single; inflorescence raceme
Vaccinium uliginosum: habit shrub; bark peeling; leafArrangement alternate; leafMargin entire; fruitColour blue-black; height 15-60cm; leafType simple; fruit berry-single; fruitTip crown; leafTexture thin; inflorescence axillary-cluster
Ribes rubrum: habit shrub; leafArrangement alternate; leafType simple; leafShape lobed; inflorescence raceme; fruit berry-single; fruitTip withered-flower; tendrils none; fruitColour red; leafMargin serrate
Rosa canina: stemSurface prickly; leafType pinnate; leafArrangement alternate; fruit hip; leafJoint stipules
Crataegus monogyna: stemSurface thorny; leafShape lobed; leafMargin lobed; leafArrangement alternate; fruit pome
Hippophae rhamnoides: stemSurface thorny; leafShape linear; leafSurface mealy; leafMargin entire; fruitColour orange
Corylus avellana: habit shrub; leafArrangement alternate; leafType simple; leafMargin serrate; inflorescence catkin; fruit nut-in-cup
Castanea sativa: habit tree; leafArrangement alternate; leafType simple; leafMargin serrate; fruit burr; leafShape lance
Fagus sylvatica: bark smooth-pale; leafMargin entire; leafSurface shiny; leafArrangement alternate; fruit nut-in-cup; leafShape egg
Quercus robur: fruit nut-in-cup; leafMargin lobed; leafArrangement alternate; bark furrowed
Juglans nigra: habit tree; leafArrangement alternate; leafType pinnate; bark furrowed; fruit drupe; fruitColour green; crushedScent resin-citrus; leafMargin serrate; stemSurface smooth
Picea abies: needleSeat peg; crushedScent resin-citrus; needleSection four-sided; cone hanging
Abies alba: needleSeat flush-disc; crushedScent resin-citrus; needleSection flat; cone upright
Pinus sylvestris: leafArrangement bundled; needleSection half-round; needleSeat bundle-sheath; crushedScent resin-citrus
Tilia cordata: habit tree; leafShape heart; leafMargin serrate; leafArrangement alternate; flowerColour cream; fruit winged
Betula pendula: habit tree; bark papery; leafArrangement alternate; leafMargin serrate; inflorescence catkin
Amelanchier lamarckii: leafArrangement alternate; leafMargin serrate; leafTexture thin; fruit pome; fruitTip calyx-star; habit shrub; leafType simple; leafShape egg
Prunus spinosa: stemSurface thorny; leafArrangement alternate; leafMargin serrate; leafTexture thin; fruit drupe; flowerColour white; leafType simple
Gaultheria procumbens: crushedScent wintergreen; leafTexture leathery; leafMargin serrate; leafArrangement alternate; fruitColour red; height under-15cm; leafType simple
Asclepias syriaca: stemSurface hairy-all-round; leafTexture leathery; leafSurface downy-below; sap milky; inflorescence umbel; leafArrangement opposite; stemCore solid; flowerColour pink
`

/** What must not open, and the plant that kills and still fits. */
const NOT_ENOUGH = `
Allium ursinum: crushedScent garlic-onion > Convallaria majalis
Allium ursinum: crushedScent garlic-onion; leafTexture thin; leafVeins parallel > Convallaria majalis
Allium ursinum: leafBase stalked; leafTexture thin; leafVeins parallel > Convallaria majalis
Allium ursinum: leafArrangement basal-rosette; leafVeins parallel; flowerColour white > Colchicum autumnale
Allium tricoccum: leafBase stalked; leafTexture thin; underground bulb-coated > Toxicoscordion venenosum
Allium tricoccum: crushedScent garlic-onion; leafSurface hairless > Convallaria majalis
Aegopodium podagraria: leafType ternate; stemCore hollow; leafSurface hairless > Oenanthe crocata
Aegopodium podagraria: crushedScent celery-carrot; stemCore hollow; flowerColour white > Oenanthe crocata
Aegopodium podagraria: stemCore hollow; leafSurface hairless; flowerColour white; inflorescence compound-umbel > Conium maculatum
Daucus carota: leafType feathery; crushedScent celery-carrot; flowerColour white > Oenanthe crocata
Daucus carota: leafType feathery; inflorescence compound-umbel; flowerColour white > Conium maculatum
Pastinaca sativa: underground tap-root-long; leafType pinnate > Conium maculatum
Pastinaca sativa: crushedScent celery-carrot; leafType pinnate > Oenanthe crocata
Heracleum sphondylium: inflorescence compound-umbel; flowerColour white; stemCore hollow > Conium maculatum
Heracleum sphondylium: stemCore hollow; flowerColour white > Cicuta virosa
Angelica archangelica: stemCore hollow; stemSurface smooth; inflorescence compound-umbel > Conium maculatum
Angelica archangelica: leafBase sheathing; stemSurface smooth; stemCore hollow > Cicuta virosa
Crithmum maritimum: inflorescence compound-umbel; leafType twice-divided > Oenanthe crocata
Bunium bulbocastanum: leafType feathery; inflorescence compound-umbel; flowerColour white > Conium maculatum
Nasturtium officinale: leafType pinnate; stemCore hollow; flowerColour white > Oenanthe crocata
Nasturtium officinale: leafType pinnate; leafBase stalked; habit emergent > Cicuta virosa
Sagittaria latifolia: habit emergent; flowerColour white > Cicuta maculata
Bistorta officinalis: leafShape lance; leafTexture thin > Digitalis purpurea
Bistorta officinalis: leafBase clasping; leafShape lance; flowerColour pink > Colchicum autumnale
Arctium lappa: leafSurface downy-below; leafArrangement basal-rosette; leafShape egg > Digitalis purpurea
Arctium lappa: leafArrangement basal-rosette; leafTexture deep-veined; leafSurface downy-below > Digitalis purpurea
Plantago lanceolata: leafShape lance; leafArrangement basal-rosette > Digitalis purpurea
Oenothera biennis: leafShape lance; leafArrangement basal-rosette; leafSurface downy-below > Digitalis purpurea
Campanula rapunculus: leafArrangement basal-rosette; leafMargin crenate; leafShape oblong > Digitalis purpurea
Chamaenerion angustifolium: stemSurface smooth; leafMargin entire; leafShape lance > Apocynum cannabinum
Chamaenerion angustifolium: leafShape lance; flowerColour pink; inflorescence raceme > Digitalis purpurea
Asclepias syriaca: sap milky; leafArrangement opposite; inflorescence umbel > Apocynum cannabinum
Asclepias syriaca: sap milky; leafShape oblong; flowerColour pink > Apocynum cannabinum
Smilax herbacea: habit climbing; leafMargin entire; leafShape egg > Menispermum canadense
Apios americana: habit climbing; leafArrangement alternate > Menispermum canadense
Humulus lupulus: habit climbing; leafShape lobed > Bryonia dioica
Humulus lupulus: habit climbing; leafMargin serrate > Bryonia dioica
Vaccinium myrtillus: fruit berry-single; fruitColour blue-black > Atropa bella-donna
Vaccinium myrtillus: fruitColour blue-black; leafArrangement alternate > Atropa bella-donna
Vaccinium uliginosum: fruitColour blue-black; leafMargin entire; fruit berry-single > Atropa bella-donna
Vaccinium vitis-idaea: fruitColour red; habit shrub; leafArrangement alternate > Daphne mezereum
Ribes rubrum: fruitColour red; habit shrub; leafArrangement alternate > Daphne mezereum
Ribes rubrum: leafShape lobed; fruitColour red; fruit berry-single > Bryonia dioica
Rosa canina: habit climbing; fruitColour red > Bryonia dioica
Amelanchier lamarckii: fruitColour blue-black; leafArrangement alternate > Atropa bella-donna
Prunus serotina: fruitColour blue-black; leafArrangement alternate > Atropa bella-donna
Prunus spinosa: fruitColour blue-black; leafArrangement alternate > Atropa bella-donna
Rubus fruticosus: leafArrangement alternate; fruitColour blue-black > Atropa bella-donna
Crataegus monogyna: fruitColour red; leafArrangement alternate > Daphne mezereum
Sorbus aucuparia: fruitColour red; leafArrangement alternate > Daphne mezereum
Hippophae rhamnoides: leafMargin entire; leafArrangement alternate > Daphne mezereum
Hippophae rhamnoides: leafMargin entire; habit shrub; leafShape lance > Daphne mezereum
Viburnum opulus: fruitColour red; habit shrub > Daphne mezereum
Gaultheria procumbens: fruitColour red; leafArrangement alternate > Daphne mezereum
Empetrum nigrum: leafType needle; habit shrub > Juniperus sabina
Juniperus communis: leafType needle; habit shrub > Juniperus sabina
Juniperus communis: leafType needle; leafArrangement whorled > Juniperus sabina
Picea abies: leafType needle; habit tree > Taxus baccata
Picea glauca: leafType needle; habit tree > Taxus baccata
Abies alba: leafType needle; needleSection flat > Taxus baccata
Pseudotsuga menziesii: needleSection flat; habit tree > Taxus baccata
Pinus sylvestris: leafType needle; habit tree > Taxus baccata
Sambucus nigra: flowerColour white; leafType pinnate > Cicuta maculata
Robinia pseudoacacia: habit tree; inflorescence raceme > Laburnum anagyroides
Matteuccia struthiopteris: leafArrangement basal-rosette; habit rosette > Dryopteris filix-mas
Amaranthus retroflexus: leafArrangement alternate; leafMargin entire > Atropa bella-donna
Amaranthus retroflexus: leafMargin entire; leafShape egg; crushedScent none > Atropa bella-donna
Dipterostemon capitatus: leafType strap; petals 6 > Toxicoscordion venenosum
Matricaria discoidea: leafType feathery; leafSurface hairless > Conium maculatum
Morus alba: leafArrangement alternate; fruitColour blue-black > Menispermum canadense
Tilia cordata: leafShape heart; leafArrangement alternate > Menispermum canadense
Celtis occidentalis: fruitColour purple; leafArrangement alternate > Menispermum canadense
`

const rows = (text: string) => text.trim().split('\n')

function ask(line: string) {
  const [looks = '', kills] = line.split(' > ')
  const [taxon = '', seen = ''] = looks.split(': ')
  const observed = Object.fromEntries(
    seen.split('; ').map((look) => {
      const [character = '', state = ''] = look.split(' ')
      return [character, [state]] as const
    }),
  )
  return { kills, answer: clear({ taxon, observed }, CATALOGUE) }
}

describe('looks that a botanist calls enough', () => {
  it(`open Identity in all of ${String(rows(ENOUGH).length)}`, () => {
    const shut = rows(ENOUGH).flatMap((line) => {
      const { gate, contradictions, missing, standing } = ask(line).answer
      if (gate === 'open') return []
      const left = standing.filter(({ severity }) => ['deadly', 'toxic', 'irritant'].includes(severity))
      return [`${line} → ${gate}; against ${contradictions.map(({ character }) => character).join()}; missing ${missing.join()}; ${left.map(({ taxon, ruledOutBy }) => `${taxon} (${ruledOutBy.join()})`).join(', ')}`] // prettier-ignore
    })
    expect(shut).toEqual([])
  })
  it(`leave it shut in all of ${String(rows(NOT_ENOUGH).length)} that do not part it from what kills, and say so`, () => {
    const wrong = rows(NOT_ENOUGH).flatMap((line) => {
      const { kills, answer } = ask(line)
      const stands = answer.standing.some(({ taxon }) => taxon === kills)
      return answer.gate === 'ajar' && stands ? [] : [`${line} → ${answer.gate}, ${String(stands)}`]
    })
    expect(wrong).toEqual([])
  })
  it('ask for two independent tells against every harmful double that a record names, whatever else was seen', () => {
    const lax = CATALOGUE.taxa.flatMap((claimed) => {
      const observed = Object.fromEntries(
        Object.entries(claimed.characters).map(([character, states]) => [character, states.slice(0, 1)]),
      )
      const named = new Set([
        ...claimed.lookalikes.map(({ scientificName }) => scientificName),
        ...CATALOGUE.taxa.filter(({ lookalikes }) => lookalikes.some(({ scientificName }) => scientificName === claimed.scientificName)).map(({ scientificName }) => scientificName),
      ]) // prettier-ignore
      const { standing, ruledOut } = clear({ taxon: claimed.scientificName, observed }, CATALOGUE)
      return [...standing, ...ruledOut]
        .filter(
          ({ taxon, severity, needed }) => named.has(taxon) && ['deadly', 'toxic'].includes(severity) && needed < 2,
        )
        .map(({ taxon }) => `${claimed.scientificName} / ${taxon}`)
    })
    expect(lax).toEqual([])
  })
  it('count how it grows for nothing where all that was seen can lie on the ground', () => {
    const of = (observed: Record<string, string[]>) =>
      clear({ taxon: 'Quercus robur', observed }, CATALOGUE).standing.find(({ taxon }) => taxon === 'Actaea spicata')
    expect(of({ leafMargin: ['lobed'] })?.ruledOutBy).not.toContain('habit')
    expect(of({ leafMargin: ['lobed'], leafArrangement: ['alternate'] })?.ruledOutBy ?? ['habit']).toContain('habit')
  })
})
