import { describe, expect, it } from 'vitest'
import { CATALOGUE } from '../flora/records'
import type { Goal } from '../flora/taxon'
import type { Part, Sensitivity, Stage } from '../flora/vocabulary'
import { plan } from './plan'
import type { Plan, PlanEater } from './planTypes'

/**
 * Questions that a kitchen asks on any day, answered by hand before the program was asked. A row is a plant, part and stage, what is to be
 * made, who eats, and for what is conditional the reasons that must stand first.
 */
const GROWN: PlanEater = { kind: 'adult', sensitivities: [] }
const UNASKED: PlanEater = { kind: 'adult' }
const CHILD: PlanEater = { kind: 'child', sensitivities: [] }
const BABY: PlanEater = { kind: 'infant', sensitivities: [], age_months: 8 }
const withOne = (...sensitivities: readonly Sensitivity[]): PlanEater => ({ kind: 'adult', sensitivities })

const ALLOWED: readonly (readonly [string, PlanEater?])[] = [
  // Of the records of December 2026.
  ['Rubus idaeus, fruit ripe, eat-raw'], ['Rubus idaeus, fruit ripe, jam'], ['Rubus idaeus, fruit ripe, eat', BABY], ['Rubus idaeus, leaf young, tea'], ['Ribes uva-crispa, fruit ripe, eat-raw'], ['Ribes uva-crispa, fruit ripe, jam'], ['Prunus avium, fruit ripe, eat-raw'], ['Prunus avium, fruit ripe, jam'], ['Prunus armeniaca, fruit ripe, eat-raw'], ['Prunus armeniaca, fruit ripe, dry'],
  ['Vaccinium oxycoccos, fruit ripe, jam'], ['Amelanchier alnifolia, fruit ripe, eat-raw'], ['Morus rubra, fruit ripe, eat-raw'], ['Gaultheria shallon, fruit ripe, jam'], ['Diospyros virginiana, fruit ripe, eat-raw'], ['Elaeagnus umbellata, fruit ripe, jam'], ['Sorbus aria, fruit ripe, jam'], ['Juglans regia, nut ripe, eat-raw'], ['Juglans regia, nut ripe, eat', withOne('celery-allergy')],
  ['Trapa natans, nut ripe, eat'], ['Plantago major, leaf young, eat'], ['Plantago major, leaf young, eat-raw'], ['Plantago major, leaf mature, eat'], ['Barbarea vulgaris, leaf young, eat'], ['Bellis perennis, flower flowering, eat-raw'], ['Lamium album, leafy-top young, eat'], ['Cichorium intybus, leaf young, eat'], ['Cichorium intybus, root dormant, eat'],
  ['Sanguisorba minor, leaf young, eat-raw'], ['Sinapis arvensis, leaf young, eat'], ['Calendula officinalis, flower flowering, tea'], ['Tropaeolum majus, flower flowering, eat-raw'], ['Trifolium pratense, flower flowering, tea'], ['Primula veris, flower flowering, tea'], ['Glechoma hederacea, leaf any, flavouring'],
  ['Asparagus officinalis, shoot emerging, eat'], ['Cochlearia danica, leaf young, eat-raw'], ['Hylotelephium telephium, leaf young, eat-raw'], ['Medicago sativa, leafy-top young, eat'], ['Melilotus officinalis, flower flowering, tea'], ['Nelumbo nucifera, tuber dormant, eat'], ['Passiflora incarnata, fruit ripe, eat-raw'], ['Passiflora incarnata, fruit ripe, jam'],
  ['Salvia rosmarinus, leaf any, flavouring'], ['Salvia rosmarinus, leaf any, tea'], ['Sassafras albidum, leaf young, flavouring'], ['Smilax rotundifolia, shoot emerging, eat'],
  // Fruit washed and eaten, or cooked.
  ['Fragaria vesca, fruit ripe, eat-raw'], ['Fragaria vesca, fruit ripe, eat-raw', UNASKED], ['Fragaria vesca, fruit ripe, jam'], ['Fragaria vesca, fruit ripe, eat'],
  ['Rubus fruticosus, fruit ripe, eat-raw'], ['Rubus fruticosus, fruit ripe, eat-raw', CHILD], ['Rubus fruticosus, fruit ripe, jam'], ['Rubus fruticosus, fruit ripe, freeze'], ['Rubus fruticosus, fruit ripe, syrup'],
  ['Rubus fruticosus, fruit ripe, eat', BABY], ['Rubus fruticosus, fruit ripe, eat-raw', withOne('nut-allergy')], ['Rubus fruticosus, fruit ripe, eat-raw', withOne('pregnancy')],
  ['Rubus trivialis, fruit ripe, eat-raw'], ['Rubus trivialis, fruit ripe, jam'], ['Rubus trivialis, fruit ripe, eat', BABY],
  ['Vaccinium myrtillus, fruit ripe, eat-raw'], ['Vaccinium myrtillus, fruit ripe, eat-raw', CHILD], ['Vaccinium myrtillus, fruit ripe, dry'], ['Vaccinium myrtillus, fruit ripe, freeze'], ['Vaccinium myrtillus, fruit ripe, jam'],
  ['Vaccinium myrtillus, fruit ripe, eat', BABY], ['Vaccinium myrtillus, fruit ripe, eat', withOne('immunocompromised')], ['Vaccinium myrtillus, fruit ripe, eat-raw', withOne('kidney-stone')],
  ['Vaccinium vitis-idaea, fruit ripe, jam'], ['Vaccinium vitis-idaea, fruit ripe, eat'], ['Vaccinium uliginosum, fruit ripe, eat'], ['Vaccinium uliginosum, fruit ripe, jam'],
  ['Ribes rubrum, fruit ripe, eat-raw'], ['Ribes rubrum, fruit ripe, jam'], ['Ribes rubrum, fruit ripe, eat', BABY], ['Ribes rubrum, fruit ripe, eat-raw', withOne('anticoagulant')],
  ['Amelanchier lamarckii, fruit ripe, eat-raw'], ['Amelanchier lamarckii, fruit ripe, jam'], ['Amelanchier lamarckii, fruit ripe, dry'],
  ['Morus alba, fruit ripe, eat-raw'], ['Empetrum nigrum, fruit ripe, eat-raw'], ['Empetrum nigrum, fruit ripe, jam'], ['Arbutus unedo, fruit ripe, eat-raw'], ['Arbutus unedo, fruit ripe, jam'],
  ['Celtis occidentalis, fruit ripe, eat-raw'], ['Hippophae rhamnoides, fruit ripe, eat-raw'], ['Hippophae rhamnoides, fruit ripe, syrup'], ['Crataegus monogyna, fruit ripe, jam'], ['Potentilla indica, fruit ripe, eat-raw'],
  ['Gaultheria procumbens, fruit ripe, eat-raw'],
  // Nuts.
  ['Corylus avellana, nut ripe, eat-raw'], ['Corylus avellana, nut ripe, eat'], ['Corylus avellana, nut ripe, eat-raw', UNASKED], ['Corylus avellana, nut unripe, eat-raw'], ['Carya ovata, nut ripe, eat-raw'], ['Juglans nigra, nut ripe, eat-raw'],
  ['Castanea sativa, nut ripe, eat'], ['Castanea sativa, nut ripe, flour'], ['Castanea sativa, nut ripe, eat', withOne('celery-allergy')], ['Fagus sylvatica, nut ripe, eat'],
  // Greens cooked.
  ['Urtica dioica, leafy-top young, eat'], ['Urtica dioica, leafy-top young, eat', UNASKED], ['Urtica dioica, leafy-top young, freeze'], ['Urtica dioica, leafy-top young, dry'], ['Urtica dioica, leafy-top young, tea'], ['Urtica dioica, leafy-top young, eat', CHILD], ['Urtica dioica, leafy-top young, eat', withOne('nut-allergy')],
  ['Urtica urens, leafy-top young, eat'], ['Laportea canadensis, leafy-top young, eat'], ['Taraxacum officinale, leaf young, eat'], ['Taraxacum officinale, leaf mature, eat'], ['Taraxacum officinale, root dormant, eat'],
  ['Plantago lanceolata, leaf young, eat'], ['Plantago lanceolata, leaf mature, eat'], ['Malva sylvestris, leaf young, eat'], ['Sonchus oleraceus, leaf young, eat'], ['Lamium amplexicaule, leafy-top young, eat'],
  ['Cardamine hirsuta, leaf young, eat'], ['Galium aparine, leafy-top young, eat'], ['Parietaria judaica, leafy-top young, eat'], ['Lactuca serriola, leaf young, eat'], ['Hypochaeris radicata, leaf young, eat'], ['Cirsium oleraceum, leaf young, eat'],
  ['Alliaria petiolata, leaf young, eat'], ['Viola odorata, leaf young, eat'], ['Crambe maritima, leaf young, eat'], ['Crambe maritima, shoot emerging, eat'], ['Crambe maritima, flower-bud in-bud, eat'], ['Cakile maritima, leaf young, eat'], ['Tripolium pannonicum, leaf young, eat'],
  ['Phragmites australis, shoot emerging, eat'], ['Chamaenerion angustifolium, shoot emerging, eat'], ['Smilax herbacea, shoot emerging, eat'],
  ['Malva sylvestris, leaf young, eat', withOne('nut-allergy')], ['Plantago lanceolata, leaf young, eat', withOne('kidney-stone')], ['Sonchus oleraceus, leaf young, eat', withOne('nut-allergy')],
  // Raw leaves, flowers, seasonings, teas.
  ['Taraxacum officinale, leaf young, eat-raw'], ['Taraxacum officinale, leaf young, eat-raw', UNASKED], ['Plantago lanceolata, leaf young, eat-raw'], ['Cardamine hirsuta, leaf young, eat-raw'], ['Viola odorata, flower flowering, eat-raw'], ['Viola odorata, leaf young, eat-raw'],
  ['Lamium amplexicaule, leafy-top young, eat-raw'], ['Alliaria petiolata, leaf young, eat-raw'], ['Tilia cordata, leaf young, eat-raw'], ['Fagus sylvatica, leaf emerging, eat-raw'], ['Malva sylvestris, flower flowering, eat-raw'], ['Rosa canina, flower flowering, eat-raw'],
  ['Hypochaeris radicata, leaf young, eat-raw'], ['Crataegus monogyna, leaf emerging, eat-raw'], ['Oenothera biennis, flower flowering, eat-raw'],
  ['Picea abies, needle-tip young, flavouring'], ['Picea abies, needle-tip young, syrup'], ['Abies alba, needle-tip young, tea'], ['Pinus sylvestris, needle-tip young, tea'], ['Pseudotsuga menziesii, needle-tip young, flavouring'],
  ['Juniperus communis, fruit ripe, flavouring'], ['Tilia cordata, flower flowering, tea'], ['Sambucus nigra, flower flowering, syrup'], ['Sambucus nigra, flower flowering, eat'], ['Matricaria discoidea, flower flowering, tea'], ['Fragaria vesca, leaf young, tea'],
  ['Rubus fruticosus, leaf young, tea'], ['Rhus typhina, fruit ripe, tea'], ['Taraxacum officinale, flower flowering, syrup'], ['Chamaenerion angustifolium, leaf mature, tea'], ['Viola odorata, flower flowering, syrup'], ['Betula pendula, leaf young, tea'],
  // Roots, tubers, sap, pollen.
  ['Helianthus tuberosus, tuber dormant, eat'], ['Arctium lappa, root dormant, eat'], ['Arctium lappa, root dormant, eat', withOne('nut-allergy')], ['Campanula rapunculus, root dormant, eat'], ['Campanula rapunculus, root dormant, eat', BABY], ['Silybum marianum, root dormant, eat'],
  ['Oenothera biennis, root dormant, eat'], ['Nelumbo lutea, tuber dormant, eat'], ['Argentina anserina, root dormant, eat'], ['Betula pendula, sap dormant, eat'], ['Acer saccharum, sap dormant, syrup'],
] // prettier-ignore

const CONDITIONAL: readonly (readonly [string, readonly string[], PlanEater?])[] = [
  // Of the records of December 2026.
  ['Vitis riparia, fruit ripe, jam', ['identity']], ['Galium odoratum, leafy-top in-bud, tea', ['identity']], ['Allium triquetrum, leaf young, eat', ['identity']], ['Chenopodium album, leafy-top young, eat', ['identity', 'soluble-oxalate']], ['Typha latifolia, rhizome dormant, flour', ['identity']], ['Atriplex patula, leafy-top young, eat', ['identity', 'soluble-oxalate']],
  ['Rheum rhabarbarum, stem young, eat', ['soluble-oxalate']], ['Solanum tuberosum, tuber mature, eat', ['solanine-like']], ['Phaseolus vulgaris, seed ripe, eat', ['lectin']], ['Phaseolus vulgaris, fruit unripe, eat', ['lectin']], ['Sambucus canadensis, fruit ripe, jam', ['cyanogenic', 'lectin']], ['Rumex acetosella, leaf young, eat-raw', ['soluble-oxalate']], ['Oxalis stricta, leaf any, eat-raw', ['soluble-oxalate']],
  ['Tragopogon pratensis, shoot young, eat', ['identity']], ['Humulus lupulus, shoot emerging, eat', ['identity']], ['Robinia pseudoacacia, flower flowering, eat', ['lectin']], ['Asclepias syriaca, shoot emerging, eat', ['identity', 'cardiac-glycoside-low']],
  ['Halimione portulacoides, leaf young, eat', ['soluble-oxalate']], ['Asimina triloba, fruit ripe, eat-raw', ['eater'], CHILD], ['Filipendula ulmaria, flower flowering, tea', ['eater'], withOne('pollen-allergy')],
  ['Allium sativum, bulb mature, eat', ['identity']], ['Foeniculum vulgare, leaf young, flavouring', ['identity']], ['Petroselinum crispum, leaf any, flavouring', ['identity']], ['Hosta sieboldiana, shoot emerging, eat', ['identity']], ['Lomatium cous, root flowering, eat', ['identity']],
  ['Colocasia esculenta, corm dormant, eat', ['calcium-oxalate-needles', 'soluble-oxalate']], ['Ginkgo biloba, nut dormant, eat', ['ginkgotoxin', 'amount']], ['Glycyrrhiza glabra, root dormant, tea', ['glycyrrhizin', 'amount']], ['Hemerocallis fulva, flower-bud in-bud, eat', ['acrid']], ['Manihot esculenta, root dormant, eat', ['cyanogenic']], ['Phyllostachys edulis, shoot emerging, eat', ['cyanogenic']], ['Podophyllum peltatum, fruit ripe, eat-raw', ['podophyllotoxin']], ['Tetragonia tetragonioides, leafy-top young, eat', ['soluble-oxalate']],
  // A deadly double grows among it, or it is an umbel, a bulb or a corm that has one.
  ['Allium ursinum, leaf young, eat', ['identity']], ['Allium ursinum, leaf young, eat-raw', ['identity']], ['Allium tricoccum, leaf young, eat', ['identity']], ['Allium tricoccum, bulb mature, eat', ['identity']],
  ['Aegopodium podagraria, leaf emerging, eat-raw', ['identity']], ['Aegopodium podagraria, leaf mature, eat', ['identity']], ['Crithmum maritimum, leaf young, eat', ['identity']], ['Daucus carota, root dormant, eat', ['identity']], ['Pastinaca sativa, root dormant, eat', ['identity']],
  ['Heracleum sphondylium, shoot emerging, eat', ['identity']], ['Bunium bulbocastanum, tuber mature, eat', ['identity']], ['Dipterostemon capitatus, corm flowering, eat', ['identity']], ['Nasturtium officinale, leafy-top young, eat', ['identity']],
  ['Sagittaria latifolia, tuber dormant, eat', ['identity']], ['Bistorta officinalis, leaf young, eat', ['identity', 'soluble-oxalate']], ['Humulus lupulus, shoot emerging, eat', ['identity']], ['Matteuccia struthiopteris, shoot emerging, eat', ['identity', 'thiaminase']],
  ['Angelica archangelica, midrib young, eat', ['identity']],
  // Heat that ends a poison.
  ['Sambucus nigra, fruit ripe, syrup', ['cyanogenic', 'lectin']], ['Sambucus nigra, fruit ripe, jam', ['cyanogenic', 'lectin']], ['Robinia pseudoacacia, flower flowering, eat', ['lectin']], ['Apios americana, tuber dormant, eat', ['lectin']], ['Apios americana, seed unripe, eat', ['lectin']],
  ['Sorbus aucuparia, fruit ripe, jam', ['parasorbic-acid']], ['Viburnum opulus, fruit ripe, jam', ['viburnin']], ['Asclepias syriaca, shoot emerging, eat', ['cardiac-glycoside-low', 'identity']],
  // Water that must be thrown away, baths that are counted.
  ['Chenopodium album, leafy-top young, eat', ['soluble-oxalate']], ['Amaranthus retroflexus, leafy-top young, eat', ['soluble-oxalate']], ['Beta vulgaris, leaf young, eat', ['soluble-oxalate']], ['Portulaca oleracea, leafy-top young, eat', ['soluble-oxalate']], ['Rumex acetosa, leaf young, eat', ['soluble-oxalate']],
  ['Rumex acetosa, stem young, eat', ['soluble-oxalate']], ['Reynoutria japonica, shoot emerging, eat', ['soluble-oxalate']], ['Sesuvium portulacastrum, leafy-top any, eat', ['soluble-oxalate']], ['Opuntia ficus-indica, stem young, eat', ['spine', 'soluble-oxalate']], ['Yucca elata, flower flowering, eat', ['saponin']], ['Yucca elata, shoot in-bud, eat', ['saponin']],
  ['Quercus robur, nut ripe, flour', ['tannin-load']], ['Quercus petraea, nut ripe, eat', ['tannin-load']], ['Quercus virginiana, nut ripe, eat', ['tannin-load']], ['Cetraria islandica, thallus any, eat', ['bitter']], ['Arctium lappa, midrib young, eat', ['bitter']], ['Bistorta officinalis, rhizome dormant, eat', ['tannin-load']],
  // Seed, hair or spine that harms.
  ['Rosa canina, fruit ripe, syrup', ['irritant-hair']], ['Rosa canina, fruit ripe, eat-raw', ['irritant-hair']], ['Opuntia ficus-indica, fruit ripe, eat-raw', ['spine']], ['Prunus serotina, fruit ripe, jam', ['cyanogenic']], ['Prunus spinosa, fruit ripe, jam', ['cyanogenic']], ['Silybum marianum, leaf young, eat', ['spine']],
  // An amount that an ordinary portion goes over, or that stands by itself.
  ['Claytonia perfoliata, leafy-top young, eat-raw', ['soluble-oxalate']], ['Portulaca oleracea, leafy-top young, eat-raw', ['soluble-oxalate']], ['Stellaria media, leafy-top young, eat-raw', ['amount']], ['Stellaria media, leafy-top young, eat', ['amount']], ['Salicornia europaea, leafy-top young, eat', ['amount']], ['Gaultheria procumbens, leaf any, tea', ['methyl-salicylate']], ['Oxalis acetosella, leaf any, eat-raw', ['soluble-oxalate']],
  // What is kept.
  ['Allium ursinum, leaf young, infused-oil, chilled', ['botulinum-in-low-acid-storage']], ['Allium ursinum, leaf young, ferment', ['store']], ['Taraxacum officinale, flower-bud in-bud, pickle', ['botulinum-in-low-acid-storage']], ['Sambucus nigra, fruit ripe, freeze', ['cyanogenic']], ['Helianthus tuberosus, tuber dormant, ferment', ['store']],
  ['Cakile maritima, fruit unripe, pickle', ['store']],
  // Who eats.
  ['Urtica dioica, leafy-top young, eat', ['eater'], withOne('kidney-disease')], ['Urtica dioica, leafy-top young, eat', ['eater'], withOne('pregnancy')], ['Urtica dioica, leafy-top young, eat', ['eater'], withOne('anticoagulant')], ['Taraxacum officinale, leaf young, eat', ['eater'], withOne('anticoagulant')],
  ['Ribes rubrum, fruit ripe, jam', ['eater'], withOne('diabetes')], ['Picea abies, needle-tip young, flavouring', ['eater'], CHILD], ['Corylus avellana, nut ripe, eat-raw', ['eater'], CHILD], ['Sambucus nigra, flower flowering, syrup', ['eater'], withOne('pregnancy')], ['Daucus carota, root dormant, eat', ['eater'], withOne('pregnancy')], ['Pastinaca sativa, root dormant, eat', ['eater'], withOne('pregnancy')],
] // prettier-ignore

const REFUSED: readonly (readonly [string, PlanEater?])[] = [
  // Of the records of December 2026.
  ['Datura stramonium, leaf young, eat'], ['Veratrum album, leaf young, eat'], ['Nerium oleander, leaf any, tea'], ['Ricinus communis, seed ripe, eat'], ['Hyoscyamus niger, root dormant, eat'], ['Aristolochia clematitis, leaf any, tea'], ['Brugmansia suaveolens, flower flowering, tea'], ['Hyacinthoides non-scripta, bulb any, eat'], ['Ornithogalum umbellatum, bulb any, eat'],
  ['Petasites hybridus, leaf young, eat'], ['Tanacetum vulgare, leaf young, flavouring'], ['Wisteria sinensis, seed ripe, eat'], ['Caltha palustris, flower-bud in-bud, pickle'], ['Athyrium filix-femina, shoot emerging, eat'], ['Cycas revoluta, seed ripe, flour'], ['Euphorbia lathyris, fruit unripe, pickle'], ['Ilex aquifolium, fruit ripe, jam'],
  ['Rheum rhabarbarum, leaf young, eat'], ['Solanum tuberosum, leaf young, eat'], ['Phaseolus vulgaris, seed ripe, eat-raw'], ['Prunus armeniaca, seed any, eat'], ['Borago officinalis, leaf young, eat'], ['Sambucus canadensis, fruit ripe, eat-raw'], ['Trapa natans, nut ripe, eat-raw'], ['Asimina triloba, fruit ripe, dry'],
  ['Galium odoratum, leafy-top in-bud, tea', withOne('pregnancy')], ['Artemisia vulgaris, flower-bud in-bud, flavouring', withOne('pregnancy')], ['Filipendula ulmaria, flower flowering, tea', withOne('aspirin')], ['Juglans regia, nut ripe, eat-raw', withOne('nut-allergy')], ['Phaseolus vulgaris, seed ripe, eat', withOne('legume-allergy')], ['Rheum rhabarbarum, stem young, eat', withOne('kidney-stone')],
  ['Asparagus officinalis, fruit ripe, jam'], ['Colocasia esculenta, corm dormant, eat-raw'], ['Colocasia esculenta, leaf young, eat'], ['Manihot esculenta, root dormant, eat-raw'], ['Phyllostachys edulis, shoot emerging, eat-raw'], ['Hemerocallis fulva, flower-bud in-bud, eat-raw'], ['Lathyrus sativus, seed ripe, flour'], ['Lupinus albus, seed ripe, pickle'], ['Podophyllum peltatum, fruit unripe, eat'], ['Podophyllum peltatum, root dormant, tea'], ['Passiflora incarnata, leaf young, tea'], ['Sassafras albidum, root dormant, tea'],
  ['Ginkgo biloba, nut dormant, eat', CHILD], ['Glycyrrhiza glabra, root dormant, tea', withOne('pregnancy')], ['Glycyrrhiza glabra, root dormant, tea', withOne('heart-medicine')], ['Manihot esculenta, root dormant, eat', CHILD], ['Podophyllum peltatum, fruit ripe, eat-raw', withOne('pregnancy')], ['Medicago sativa, leafy-top young, eat', withOne('legume-allergy')], ['Cochlearia danica, leaf young, eat', withOne('mustard-allergy')], ['Foeniculum vulgare, seed mature, flavouring', withOne('pregnancy')], ['Allium sativum, bulb mature, infused-oil, room'],
  // What a record barred in one line and let through in another.
  ['Alliaria petiolata, leaf young, eat', withOne('mustard-allergy')], ['Nasturtium officinale, leafy-top young, eat', withOne('mustard-allergy')], ['Cardamine hirsuta, leaf young, eat-raw', withOne('mustard-allergy')], ['Crambe maritima, shoot emerging, eat', withOne('mustard-allergy')], ['Barbarea vulgaris, leaf young, eat', withOne('mustard-allergy')],
  ['Viola odorata, leaf young, eat', withOne('pregnancy')], ['Reynoutria japonica, shoot emerging, eat', withOne('pregnancy')], ['Chenopodium album, seed ripe, eat', withOne('kidney-stone')], ['Fagus sylvatica, nut ripe, eat', withOne('kidney-disease')], ['Asclepias syriaca, shoot emerging, eat', withOne('heart-medicine')],
  ['Allium ursinum, flower flowering, eat-raw', withOne('immunocompromised')], ['Sonchus oleraceus, leaf young, eat-raw', withOne('immunocompromised')], ['Oxalis stricta, leaf any, eat-raw', withOne('immunocompromised')], ['Asarum europaeum, rhizome any, flavouring'],
  ['Conium maculatum, root dormant, eat'], ['Aconitum napellus, leaf young, eat'], ['Colchicum autumnale, leaf young, eat'], ['Convallaria majalis, leaf young, eat'], ['Oenanthe crocata, root dormant, eat'], ['Taxus baccata, fruit ripe, eat-raw'], ['Arum maculatum, leaf young, eat'], ['Digitalis purpurea, leaf young, tea'],
  ['Tussilago farfara, flower flowering, syrup'], ['Symphytum officinale, leaf young, eat'], ['Phytolacca americana, shoot emerging, eat'], ['Pteridium aquilinum, shoot emerging, eat'], ['Aesculus hippocastanum, nut ripe, flour'], ['Solanum dulcamara, fruit ripe, eat'], ['Laburnum anagyroides, flower flowering, eat'], ['Atropa bella-donna, fruit ripe, eat-raw'],
  ['Urtica dioica, leafy-top young, eat-raw'], ['Sambucus nigra, fruit ripe, eat-raw'], ['Nasturtium officinale, leafy-top young, eat-raw'], ['Quercus robur, nut ripe, eat-raw'], ['Chenopodium album, leafy-top young, eat-raw'], ['Matteuccia struthiopteris, shoot emerging, eat-raw'], ['Apios americana, tuber dormant, eat-raw'], ['Sorbus aucuparia, fruit ripe, eat-raw'],
  ['Asclepias syriaca, shoot emerging, eat-raw'], ['Sagittaria latifolia, tuber dormant, eat-raw'], ['Phragmites australis, shoot emerging, eat-raw'], ['Rumex acetosa, leaf young, eat-raw', withOne('kidney-stone')],
  ['Allium ursinum, leaf young, infused-oil, room'], ['Allium ursinum, leaf young, can'], ['Urtica dioica, leafy-top young, can'], ['Taraxacum officinale, leaf young, can'],
  ['Corylus avellana, nut ripe, eat-raw', withOne('nut-allergy')], ['Castanea sativa, nut ripe, eat', withOne('latex-allergy')], ['Picea abies, needle-tip young, flavouring', withOne('pregnancy')], ['Beta vulgaris, leaf young, eat', withOne('kidney-stone')], ['Portulaca oleracea, leafy-top young, eat', withOne('kidney-disease')],
  ['Taraxacum officinale, leaf young, eat', withOne('aster-allergy')], ['Arctium lappa, root dormant, eat', withOne('aster-allergy')], ['Aegopodium podagraria, leaf mature, eat', withOne('celery-allergy')], ['Gaultheria procumbens, fruit ripe, eat-raw', withOne('aspirin')], ['Juniperus communis, fruit ripe, flavouring', withOne('pregnancy')],
  ['Crataegus monogyna, fruit ripe, jam', withOne('heart-medicine')], ['Vaccinium myrtillus, fruit ripe, eat-raw', withOne('immunocompromised')], ['Urtica dioica, leafy-top young, eat', BABY], ['Sambucus nigra, fruit ripe, syrup', BABY], ['Rubus fruticosus, fruit ripe, eat-raw', BABY], ['Rubus fruticosus, fruit ripe, eat', { kind: 'infant', sensitivities: [], age_months: 4 }],
  ['Rubus fruticosus, fruit ripe, eat', { kind: 'infant', sensitivities: [] }], ['Quercus robur, nut ripe, eat', CHILD.kind === 'child' ? withOne('kidney-disease') : CHILD], ['Viburnum opulus, fruit ripe, jam', CHILD], ['Salicornia europaea, leafy-top young, eat', withOne('low-sodium')],
] // prettier-ignore

function ask(question: string, eater: PlanEater = GROWN): Plan {
  const [taxon = '', picked = '', goal = '', storage] = question.split(', ')
  const [part, stage] = picked.split(' ')
  const found = CATALOGUE.taxa.find(({ scientificName }) => scientificName === taxon)
  expect(found, taxon).toBeDefined()
  return plan(
    {
      taxon,
      part: part as Part,
      stage: stage as Stage,
      goal: goal as Goal,
      mass_g: 300,
      eaters: [eater],
      ...(storage === undefined ? {} : { storage: storage as 'room' | 'chilled' }),
    },
    CATALOGUE,
  )
}

const told = ({ reasons }: Plan, rank: string) => reasons.filter((each) => each.rank === rank)
const said = (question: string, eater: PlanEater | undefined, { verdict, reasons }: Plan) =>
  `${question} for ${JSON.stringify(eater ?? GROWN)}: ${verdict}; ${reasons.map(({ rank, about, text }) => `${rank} ${about} ${text}`).join(' | ')}`

describe('everyday questions', () => {
  it(`answers ${String(ALLOWED.length)} of them with a plain yes: nothing that must be done beyond ordinary cooking, nobody who must not`, () => {
    const wrong = ALLOWED.flatMap(([question, eater]) => {
      const answer = ask(question, eater)
      return answer.verdict === 'allow' && told(answer, 'must').length === 0 ? [] : [said(question, eater, answer)]
    })
    expect(wrong).toEqual([])
  })
  it(`names in ${String(CONDITIONAL.length)} what must be done, and says it before anything else`, () => {
    const wrong = CONDITIONAL.flatMap(([question, musts, eater]) => {
      const answer = ask(question, eater)
      const first = answer.reasons.slice(0, told(answer, 'must').length)
      const ok =
        answer.verdict === 'conditional' &&
        first.every(({ rank }) => rank === 'must') &&
        musts.every((about) => first.some((reason) => reason.about === about))
      return ok ? [] : [said(question, eater, answer)]
    })
    expect(wrong).toEqual([])
  })
  it(`refuses ${String(REFUSED.length)}, and says why first`, () => {
    const wrong = REFUSED.flatMap(([question, eater]) => {
      const answer = ask(question, eater)
      return answer.verdict === 'refuse' && answer.reasons[0]?.rank === 'must' ? [] : [said(question, eater, answer)]
    })
    expect(wrong).toEqual([])
  })
  it('asks who has an allergy where nobody was asked, and says nothing of it to who was asked and has none', () => {
    const nobodyAsked = ask('Corylus avellana, nut ripe, eat-raw', UNASKED)
    expect(told(nobodyAsked, 'mind').map(({ text }) => text)).toContain(
      'Ask who eats. It must not be eaten with: nut allergy.',
    )
    const asked = ask('Corylus avellana, nut ripe, eat-raw')
    expect(asked.reasons.filter(({ about, rank }) => about === 'eater' && rank !== 'know')).toEqual([])
  })
  it('says of what may not be eaten raw what harms, and not what only tastes bad', () => {
    const [first] = ask('Sorbus aucuparia, fruit ripe, eat-raw').reasons
    expect(first?.about).toBe('parasorbic-acid')
    expect(first?.text).toMatch(/^Not raw: parasorbic acid \(/)
  })
  it('tells every must by what is to be done: never that “the treatment” does it', () => {
    const vague = [...ALLOWED, ...CONDITIONAL.map(([question]) => [question] as const)].flatMap(([question]) =>
      told(ask(question), 'must').filter(({ text }) => /The treatment makes it mild|The same baths/.test(text)),
    )
    expect(vague).toEqual([])
  })
})
