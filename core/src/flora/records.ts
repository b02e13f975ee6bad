import type { Catalogue } from './catalogue'
import type { Taxon } from './taxon'
import abiesAlba from './records/abies-alba.json' with { type: 'json' }
import acerSaccharum from './records/acer-saccharum.json' with { type: 'json' }
import achilleaMillefolium from './records/achillea-millefolium.json' with { type: 'json' }
import aconitumNapellus from './records/aconitum-napellus.json' with { type: 'json' }
import acorusCalamus from './records/acorus-calamus.json' with { type: 'json' }
import actaeaPachypoda from './records/actaea-pachypoda.json' with { type: 'json' }
import actaeaSpicata from './records/actaea-spicata.json' with { type: 'json' }
import aegopodiumPodagraria from './records/aegopodium-podagraria.json' with { type: 'json' }
import aesculusHippocastanum from './records/aesculus-hippocastanum.json' with { type: 'json' }
import aethusaCynapium from './records/aethusa-cynapium.json' with { type: 'json' }
import ageratinaAltissima from './records/ageratina-altissima.json' with { type: 'json' }
import alliariaPetiolata from './records/alliaria-petiolata.json' with { type: 'json' }
import alliumSativum from './records/allium-sativum.json' with { type: 'json' }
import alliumTricoccum from './records/allium-tricoccum.json' with { type: 'json' }
import alliumTriquetrum from './records/allium-triquetrum.json' with { type: 'json' }
import alliumUrsinum from './records/allium-ursinum.json' with { type: 'json' }
import amaranthusRetroflexus from './records/amaranthus-retroflexus.json' with { type: 'json' }
import amelanchierAlnifolia from './records/amelanchier-alnifolia.json' with { type: 'json' }
import amelanchierLamarckii from './records/amelanchier-lamarckii.json' with { type: 'json' }
import angelicaArchangelica from './records/angelica-archangelica.json' with { type: 'json' }
import anthriscusSylvestris from './records/anthriscus-sylvestris.json' with { type: 'json' }
import apiosAmericana from './records/apios-americana.json' with { type: 'json' }
import apocynumAndrosaemifolium from './records/apocynum-androsaemifolium.json' with { type: 'json' }
import apocynumCannabinum from './records/apocynum-cannabinum.json' with { type: 'json' }
import araliaSpinosa from './records/aralia-spinosa.json' with { type: 'json' }
import arbutusUnedo from './records/arbutus-unedo.json' with { type: 'json' }
import arctiumLappa from './records/arctium-lappa.json' with { type: 'json' }
import argentinaAnserina from './records/argentina-anserina.json' with { type: 'json' }
import arisaemaTriphyllum from './records/arisaema-triphyllum.json' with { type: 'json' }
import aristolochiaClematitis from './records/aristolochia-clematitis.json' with { type: 'json' }
import artemisiaAbsinthium from './records/artemisia-absinthium.json' with { type: 'json' }
import artemisiaVulgaris from './records/artemisia-vulgaris.json' with { type: 'json' }
import arumMaculatum from './records/arum-maculatum.json' with { type: 'json' }
import asarumCanadense from './records/asarum-canadense.json' with { type: 'json' }
import asarumEuropaeum from './records/asarum-europaeum.json' with { type: 'json' }
import asclepiasSubverticillata from './records/asclepias-subverticillata.json' with { type: 'json' }
import asclepiasSyriaca from './records/asclepias-syriaca.json' with { type: 'json' }
import asiminaTriloba from './records/asimina-triloba.json' with { type: 'json' }
import asparagusOfficinalis from './records/asparagus-officinalis.json' with { type: 'json' }
import athyriumFilixFemina from './records/athyrium-filix-femina.json' with { type: 'json' }
import atriplexPatula from './records/atriplex-patula.json' with { type: 'json' }
import atriplexProstrata from './records/atriplex-prostrata.json' with { type: 'json' }
import atropaBellaDonna from './records/atropa-bella-donna.json' with { type: 'json' }
import barbareaVulgaris from './records/barbarea-vulgaris.json' with { type: 'json' }
import bellisPerennis from './records/bellis-perennis.json' with { type: 'json' }
import berberisAquifolium from './records/berberis-aquifolium.json' with { type: 'json' }
import betaVulgaris from './records/beta-vulgaris.json' with { type: 'json' }
import betulaPendula from './records/betula-pendula.json' with { type: 'json' }
import bistortaOfficinalis from './records/bistorta-officinalis.json' with { type: 'json' }
import boragoOfficinalis from './records/borago-officinalis.json' with { type: 'json' }
import brugmansiaSuaveolens from './records/brugmansia-suaveolens.json' with { type: 'json' }
import bryoniaDioica from './records/bryonia-dioica.json' with { type: 'json' }
import buniumBulbocastanum from './records/bunium-bulbocastanum.json' with { type: 'json' }
import cakileMaritima from './records/cakile-maritima.json' with { type: 'json' }
import calendulaOfficinalis from './records/calendula-officinalis.json' with { type: 'json' }
import callaPalustris from './records/calla-palustris.json' with { type: 'json' }
import calthaPalustris from './records/caltha-palustris.json' with { type: 'json' }
import campanulaRapunculus from './records/campanula-rapunculus.json' with { type: 'json' }
import cardamineHirsuta from './records/cardamine-hirsuta.json' with { type: 'json' }
import caryaOvata from './records/carya-ovata.json' with { type: 'json' }
import castaneaSativa from './records/castanea-sativa.json' with { type: 'json' }
import celtisOccidentalis from './records/celtis-occidentalis.json' with { type: 'json' }
import cetrariaIslandica from './records/cetraria-islandica.json' with { type: 'json' }
import chaerophyllumTemulum from './records/chaerophyllum-temulum.json' with { type: 'json' }
import chamaenerionAngustifolium from './records/chamaenerion-angustifolium.json' with { type: 'json' }
import chelidoniumMajus from './records/chelidonium-majus.json' with { type: 'json' }
import chenopodiumAlbum from './records/chenopodium-album.json' with { type: 'json' }
import cichoriumIntybus from './records/cichorium-intybus.json' with { type: 'json' }
import cicutaMaculata from './records/cicuta-maculata.json' with { type: 'json' }
import cicutaVirosa from './records/cicuta-virosa.json' with { type: 'json' }
import cirsiumOleraceum from './records/cirsium-oleraceum.json' with { type: 'json' }
import claytoniaPerfoliata from './records/claytonia-perfoliata.json' with { type: 'json' }
import cochleariaDanica from './records/cochlearia-danica.json' with { type: 'json' }
import colchicumAutumnale from './records/colchicum-autumnale.json' with { type: 'json' }
import colocasiaEsculenta from './records/colocasia-esculenta.json' with { type: 'json' }
import coniumMaculatum from './records/conium-maculatum.json' with { type: 'json' }
import convallariaMajalis from './records/convallaria-majalis.json' with { type: 'json' }
import corylusAvellana from './records/corylus-avellana.json' with { type: 'json' }
import crambeMaritima from './records/crambe-maritima.json' with { type: 'json' }
import crataegusMonogyna from './records/crataegus-monogyna.json' with { type: 'json' }
import crithmumMaritimum from './records/crithmum-maritimum.json' with { type: 'json' }
import cucurbitaFoetidissima from './records/cucurbita-foetidissima.json' with { type: 'json' }
import cycasRevoluta from './records/cycas-revoluta.json' with { type: 'json' }
import cymopterusLongipes from './records/cymopterus-longipes.json' with { type: 'json' }
import daphneMezereum from './records/daphne-mezereum.json' with { type: 'json' }
import daturaStramonium from './records/datura-stramonium.json' with { type: 'json' }
import daucusCarota from './records/daucus-carota.json' with { type: 'json' }
import dieffenbachiaSeguine from './records/dieffenbachia-seguine.json' with { type: 'json' }
import digitalisPurpurea from './records/digitalis-purpurea.json' with { type: 'json' }
import dioscoreaCommunis from './records/dioscorea-communis.json' with { type: 'json' }
import diospyrosVirginiana from './records/diospyros-virginiana.json' with { type: 'json' }
import dipterostemonCapitatus from './records/dipterostemon-capitatus.json' with { type: 'json' }
import dryopterisFilixMas from './records/dryopteris-filix-mas.json' with { type: 'json' }
import echiumVulgare from './records/echium-vulgare.json' with { type: 'json' }
import elaeagnusUmbellata from './records/elaeagnus-umbellata.json' with { type: 'json' }
import empetrumNigrum from './records/empetrum-nigrum.json' with { type: 'json' }
import equisetumPalustre from './records/equisetum-palustre.json' with { type: 'json' }
import euonymusEuropaeus from './records/euonymus-europaeus.json' with { type: 'json' }
import euphorbiaLactea from './records/euphorbia-lactea.json' with { type: 'json' }
import euphorbiaLathyris from './records/euphorbia-lathyris.json' with { type: 'json' }
import euphorbiaMesembryanthemifolia from './records/euphorbia-mesembryanthemifolia.json' with { type: 'json' }
import euphorbiaParalias from './records/euphorbia-paralias.json' with { type: 'json' }
import euphorbiaPeplus from './records/euphorbia-peplus.json' with { type: 'json' }
import fagusSylvatica from './records/fagus-sylvatica.json' with { type: 'json' }
import ficariaVerna from './records/ficaria-verna.json' with { type: 'json' }
import filipendulaUlmaria from './records/filipendula-ulmaria.json' with { type: 'json' }
import foeniculumVulgare from './records/foeniculum-vulgare.json' with { type: 'json' }
import fragariaVesca from './records/fragaria-vesca.json' with { type: 'json' }
import frangulaAlnus from './records/frangula-alnus.json' with { type: 'json' }
import galiumAparine from './records/galium-aparine.json' with { type: 'json' }
import galiumOdoratum from './records/galium-odoratum.json' with { type: 'json' }
import gaultheriaProcumbens from './records/gaultheria-procumbens.json' with { type: 'json' }
import gaultheriaShallon from './records/gaultheria-shallon.json' with { type: 'json' }
import ginkgoBiloba from './records/ginkgo-biloba.json' with { type: 'json' }
import glauciumFlavum from './records/glaucium-flavum.json' with { type: 'json' }
import glechomaHederacea from './records/glechoma-hederacea.json' with { type: 'json' }
import glycyrrhizaGlabra from './records/glycyrrhiza-glabra.json' with { type: 'json' }
import halimionePortulacoides from './records/halimione-portulacoides.json' with { type: 'json' }
import hederaHelix from './records/hedera-helix.json' with { type: 'json' }
import helianthusTuberosus from './records/helianthus-tuberosus.json' with { type: 'json' }
import helleborusNiger from './records/helleborus-niger.json' with { type: 'json' }
import helosciadiumNodiflorum from './records/helosciadium-nodiflorum.json' with { type: 'json' }
import hemerocallisFulva from './records/hemerocallis-fulva.json' with { type: 'json' }
import heracleumMantegazzianum from './records/heracleum-mantegazzianum.json' with { type: 'json' }
import heracleumSphondylium from './records/heracleum-sphondylium.json' with { type: 'json' }
import hippophaeRhamnoides from './records/hippophae-rhamnoides.json' with { type: 'json' }
import hostaSieboldiana from './records/hosta-sieboldiana.json' with { type: 'json' }
import humulusLupulus from './records/humulus-lupulus.json' with { type: 'json' }
import hyacinthoidesNonScripta from './records/hyacinthoides-non-scripta.json' with { type: 'json' }
import hydrangeaMacrophylla from './records/hydrangea-macrophylla.json' with { type: 'json' }
import hylotelephiumTelephium from './records/hylotelephium-telephium.json' with { type: 'json' }
import hyoscyamusNiger from './records/hyoscyamus-niger.json' with { type: 'json' }
import hypochaerisRadicata from './records/hypochaeris-radicata.json' with { type: 'json' }
import ilexAquifolium from './records/ilex-aquifolium.json' with { type: 'json' }
import irisPseudacorus from './records/iris-pseudacorus.json' with { type: 'json' }
import jacobaeaVulgaris from './records/jacobaea-vulgaris.json' with { type: 'json' }
import juglansNigra from './records/juglans-nigra.json' with { type: 'json' }
import juglansRegia from './records/juglans-regia.json' with { type: 'json' }
import juniperusCommunis from './records/juniperus-communis.json' with { type: 'json' }
import juniperusSabina from './records/juniperus-sabina.json' with { type: 'json' }
import laburnumAnagyroides from './records/laburnum-anagyroides.json' with { type: 'json' }
import lactucaSerriola from './records/lactuca-serriola.json' with { type: 'json' }
import lamiumAlbum from './records/lamium-album.json' with { type: 'json' }
import lamiumAmplexicaule from './records/lamium-amplexicaule.json' with { type: 'json' }
import laporteaCanadensis from './records/laportea-canadensis.json' with { type: 'json' }
import lathyrusLatifolius from './records/lathyrus-latifolius.json' with { type: 'json' }
import lathyrusOdoratus from './records/lathyrus-odoratus.json' with { type: 'json' }
import lathyrusSativus from './records/lathyrus-sativus.json' with { type: 'json' }
import lethariaVulpina from './records/letharia-vulpina.json' with { type: 'json' }
import ligustrumVulgare from './records/ligustrum-vulgare.json' with { type: 'json' }
import lomatiumBicolor from './records/lomatium-bicolor.json' with { type: 'json' }
import lomatiumCous from './records/lomatium-cous.json' with { type: 'json' }
import lomatiumGrayi from './records/lomatium-grayi.json' with { type: 'json' }
import loniceraXylosteum from './records/lonicera-xylosteum.json' with { type: 'json' }
import lupinusAlbus from './records/lupinus-albus.json' with { type: 'json' }
import lupinusPolyphyllus from './records/lupinus-polyphyllus.json' with { type: 'json' }
import lysimachiaArvensis from './records/lysimachia-arvensis.json' with { type: 'json' }
import malvaSylvestris from './records/malva-sylvestris.json' with { type: 'json' }
import manihotEsculenta from './records/manihot-esculenta.json' with { type: 'json' }
import matricariaDiscoidea from './records/matricaria-discoidea.json' with { type: 'json' }
import matteucciaStruthiopteris from './records/matteuccia-struthiopteris.json' with { type: 'json' }
import medicagoSativa from './records/medicago-sativa.json' with { type: 'json' }
import melilotusOfficinalis from './records/melilotus-officinalis.json' with { type: 'json' }
import menispermumCanadense from './records/menispermum-canadense.json' with { type: 'json' }
import menthaPulegium from './records/mentha-pulegium.json' with { type: 'json' }
import mercurialisPerennis from './records/mercurialis-perennis.json' with { type: 'json' }
import monardaPunctata from './records/monarda-punctata.json' with { type: 'json' }
import morusAlba from './records/morus-alba.json' with { type: 'json' }
import morusRubra from './records/morus-rubra.json' with { type: 'json' }
import narcissusPseudonarcissus from './records/narcissus-pseudonarcissus.json' with { type: 'json' }
import nasturtiumOfficinale from './records/nasturtium-officinale.json' with { type: 'json' }
import nelumboLutea from './records/nelumbo-lutea.json' with { type: 'json' }
import nelumboNucifera from './records/nelumbo-nucifera.json' with { type: 'json' }
import neriumOleander from './records/nerium-oleander.json' with { type: 'json' }
import nolinaTexana from './records/nolina-texana.json' with { type: 'json' }
import nupharLutea from './records/nuphar-lutea.json' with { type: 'json' }
import nymphaeaOdorata from './records/nymphaea-odorata.json' with { type: 'json' }
import oenantheCrocata from './records/oenanthe-crocata.json' with { type: 'json' }
import oenotheraBiennis from './records/oenothera-biennis.json' with { type: 'json' }
import opuntiaFicusIndica from './records/opuntia-ficus-indica.json' with { type: 'json' }
import ornithogalumUmbellatum from './records/ornithogalum-umbellatum.json' with { type: 'json' }
import oxalisAcetosella from './records/oxalis-acetosella.json' with { type: 'json' }
import oxalisStricta from './records/oxalis-stricta.json' with { type: 'json' }
import parietariaJudaica from './records/parietaria-judaica.json' with { type: 'json' }
import parisQuadrifolia from './records/paris-quadrifolia.json' with { type: 'json' }
import passifloraIncarnata from './records/passiflora-incarnata.json' with { type: 'json' }
import pastinacaSativa from './records/pastinaca-sativa.json' with { type: 'json' }
import peltandraVirginica from './records/peltandra-virginica.json' with { type: 'json' }
import petasitesHybridus from './records/petasites-hybridus.json' with { type: 'json' }
import petroselinumCrispum from './records/petroselinum-crispum.json' with { type: 'json' }
import phaseolusVulgaris from './records/phaseolus-vulgaris.json' with { type: 'json' }
import phragmitesAustralis from './records/phragmites-australis.json' with { type: 'json' }
import phyllostachysEdulis from './records/phyllostachys-edulis.json' with { type: 'json' }
import phytolaccaAcinosa from './records/phytolacca-acinosa.json' with { type: 'json' }
import phytolaccaAmericana from './records/phytolacca-americana.json' with { type: 'json' }
import piceaAbies from './records/picea-abies.json' with { type: 'json' }
import piceaGlauca from './records/picea-glauca.json' with { type: 'json' }
import pinusPonderosa from './records/pinus-ponderosa.json' with { type: 'json' }
import pinusSylvestris from './records/pinus-sylvestris.json' with { type: 'json' }
import plantagoLanceolata from './records/plantago-lanceolata.json' with { type: 'json' }
import plantagoMajor from './records/plantago-major.json' with { type: 'json' }
import podophyllumPeltatum from './records/podophyllum-peltatum.json' with { type: 'json' }
import polygonatumMultiflorum from './records/polygonatum-multiflorum.json' with { type: 'json' }
import portulacaOleracea from './records/portulaca-oleracea.json' with { type: 'json' }
import potentillaIndica from './records/potentilla-indica.json' with { type: 'json' }
import primulaVeris from './records/primula-veris.json' with { type: 'json' }
import prunusArmeniaca from './records/prunus-armeniaca.json' with { type: 'json' }
import prunusAvium from './records/prunus-avium.json' with { type: 'json' }
import prunusLaurocerasus from './records/prunus-laurocerasus.json' with { type: 'json' }
import prunusSerotina from './records/prunus-serotina.json' with { type: 'json' }
import prunusSpinosa from './records/prunus-spinosa.json' with { type: 'json' }
import pseudotsugaMenziesii from './records/pseudotsuga-menziesii.json' with { type: 'json' }
import pteridiumAquilinum from './records/pteridium-aquilinum.json' with { type: 'json' }
import quercusPetraea from './records/quercus-petraea.json' with { type: 'json' }
import quercusRobur from './records/quercus-robur.json' with { type: 'json' }
import quercusRubra from './records/quercus-rubra.json' with { type: 'json' }
import quercusVirginiana from './records/quercus-virginiana.json' with { type: 'json' }
import ranunculusAcris from './records/ranunculus-acris.json' with { type: 'json' }
import reynoutriaJaponica from './records/reynoutria-japonica.json' with { type: 'json' }
import rheumRhabarbarum from './records/rheum-rhabarbarum.json' with { type: 'json' }
import rhododendronPonticum from './records/rhododendron-ponticum.json' with { type: 'json' }
import rhusTyphina from './records/rhus-typhina.json' with { type: 'json' }
import ribesRubrum from './records/ribes-rubrum.json' with { type: 'json' }
import ribesUvaCrispa from './records/ribes-uva-crispa.json' with { type: 'json' }
import ricinusCommunis from './records/ricinus-communis.json' with { type: 'json' }
import robiniaPseudoacacia from './records/robinia-pseudoacacia.json' with { type: 'json' }
import rosaCanina from './records/rosa-canina.json' with { type: 'json' }
import rubusFruticosus from './records/rubus-fruticosus.json' with { type: 'json' }
import rubusIdaeus from './records/rubus-idaeus.json' with { type: 'json' }
import rubusTrivialis from './records/rubus-trivialis.json' with { type: 'json' }
import rumexAcetosa from './records/rumex-acetosa.json' with { type: 'json' }
import rumexAcetosella from './records/rumex-acetosella.json' with { type: 'json' }
import rumexCrispus from './records/rumex-crispus.json' with { type: 'json' }
import sagittariaLatifolia from './records/sagittaria-latifolia.json' with { type: 'json' }
import salicorniaEuropaea from './records/salicornia-europaea.json' with { type: 'json' }
import salixAlba from './records/salix-alba.json' with { type: 'json' }
import salviaRosmarinus from './records/salvia-rosmarinus.json' with { type: 'json' }
import sambucusCanadensis from './records/sambucus-canadensis.json' with { type: 'json' }
import sambucusEbulus from './records/sambucus-ebulus.json' with { type: 'json' }
import sambucusNigra from './records/sambucus-nigra.json' with { type: 'json' }
import sambucusRacemosa from './records/sambucus-racemosa.json' with { type: 'json' }
import sanguisorbaMinor from './records/sanguisorba-minor.json' with { type: 'json' }
import sassafrasAlbidum from './records/sassafras-albidum.json' with { type: 'json' }
import scrophulariaNodosa from './records/scrophularia-nodosa.json' with { type: 'json' }
import senecioLeucanthemifolius from './records/senecio-leucanthemifolius.json' with { type: 'json' }
import senecioVulgaris from './records/senecio-vulgaris.json' with { type: 'json' }
import sesuviumPortulacastrum from './records/sesuvium-portulacastrum.json' with { type: 'json' }
import silybumMarianum from './records/silybum-marianum.json' with { type: 'json' }
import sinapisArvensis from './records/sinapis-arvensis.json' with { type: 'json' }
import smilaxHerbacea from './records/smilax-herbacea.json' with { type: 'json' }
import smilaxRotundifolia from './records/smilax-rotundifolia.json' with { type: 'json' }
import solanumDulcamara from './records/solanum-dulcamara.json' with { type: 'json' }
import solanumNigrum from './records/solanum-nigrum.json' with { type: 'json' }
import solanumTuberosum from './records/solanum-tuberosum.json' with { type: 'json' }
import sonchusOleraceus from './records/sonchus-oleraceus.json' with { type: 'json' }
import sorbusAria from './records/sorbus-aria.json' with { type: 'json' }
import sorbusAucuparia from './records/sorbus-aucuparia.json' with { type: 'json' }
import stellariaMedia from './records/stellaria-media.json' with { type: 'json' }
import symphytumOfficinale from './records/symphytum-officinale.json' with { type: 'json' }
import tanacetumVulgare from './records/tanacetum-vulgare.json' with { type: 'json' }
import taraxacumOfficinale from './records/taraxacum-officinale.json' with { type: 'json' }
import taxusBaccata from './records/taxus-baccata.json' with { type: 'json' }
import taxusCuspidata from './records/taxus-cuspidata.json' with { type: 'json' }
import tetragoniaTetragonioides from './records/tetragonia-tetragonioides.json' with { type: 'json' }
import tiliaCordata from './records/tilia-cordata.json' with { type: 'json' }
import toxicodendronRadicans from './records/toxicodendron-radicans.json' with { type: 'json' }
import toxicodendronVernix from './records/toxicodendron-vernix.json' with { type: 'json' }
import toxicoscordionVenenosum from './records/toxicoscordion-venenosum.json' with { type: 'json' }
import tragopogonPratensis from './records/tragopogon-pratensis.json' with { type: 'json' }
import trapaNatans from './records/trapa-natans.json' with { type: 'json' }
import trifoliumPratense from './records/trifolium-pratense.json' with { type: 'json' }
import triglochinMaritima from './records/triglochin-maritima.json' with { type: 'json' }
import tripoliumPannonicum from './records/tripolium-pannonicum.json' with { type: 'json' }
import tropaeolumMajus from './records/tropaeolum-majus.json' with { type: 'json' }
import tussilagoFarfara from './records/tussilago-farfara.json' with { type: 'json' }
import typhaLatifolia from './records/typha-latifolia.json' with { type: 'json' }
import urticaDioica from './records/urtica-dioica.json' with { type: 'json' }
import urticaUrens from './records/urtica-urens.json' with { type: 'json' }
import vacciniumMyrtillus from './records/vaccinium-myrtillus.json' with { type: 'json' }
import vacciniumOxycoccos from './records/vaccinium-oxycoccos.json' with { type: 'json' }
import vacciniumUliginosum from './records/vaccinium-uliginosum.json' with { type: 'json' }
import vacciniumVitisIdaea from './records/vaccinium-vitis-idaea.json' with { type: 'json' }
import veratrumAlbum from './records/veratrum-album.json' with { type: 'json' }
import veratrumViride from './records/veratrum-viride.json' with { type: 'json' }
import viburnumLantana from './records/viburnum-lantana.json' with { type: 'json' }
import viburnumOpulus from './records/viburnum-opulus.json' with { type: 'json' }
import violaOdorata from './records/viola-odorata.json' with { type: 'json' }
import vitisRiparia from './records/vitis-riparia.json' with { type: 'json' }
import wisteriaSinensis from './records/wisteria-sinensis.json' with { type: 'json' }
import yuccaElata from './records/yucca-elata.json' with { type: 'json' }

/** The catalogue that ships. Its records are data, checked against one schema by a test; the cast is what that test earns. */
export const CATALOGUE: Catalogue = {
  revision: '2026-12-02',
  taxa: [
    abiesAlba,
    acerSaccharum,
    achilleaMillefolium,
    aconitumNapellus,
    acorusCalamus,
    actaeaPachypoda,
    actaeaSpicata,
    aegopodiumPodagraria,
    aesculusHippocastanum,
    aethusaCynapium,
    ageratinaAltissima,
    alliariaPetiolata,
    alliumSativum,
    alliumTricoccum,
    alliumTriquetrum,
    alliumUrsinum,
    amaranthusRetroflexus,
    amelanchierAlnifolia,
    amelanchierLamarckii,
    angelicaArchangelica,
    anthriscusSylvestris,
    apiosAmericana,
    apocynumAndrosaemifolium,
    apocynumCannabinum,
    araliaSpinosa,
    arbutusUnedo,
    arctiumLappa,
    argentinaAnserina,
    arisaemaTriphyllum,
    aristolochiaClematitis,
    artemisiaAbsinthium,
    artemisiaVulgaris,
    arumMaculatum,
    asarumCanadense,
    asarumEuropaeum,
    asclepiasSubverticillata,
    asclepiasSyriaca,
    asiminaTriloba,
    asparagusOfficinalis,
    athyriumFilixFemina,
    atriplexPatula,
    atriplexProstrata,
    atropaBellaDonna,
    barbareaVulgaris,
    bellisPerennis,
    berberisAquifolium,
    betaVulgaris,
    betulaPendula,
    bistortaOfficinalis,
    boragoOfficinalis,
    brugmansiaSuaveolens,
    bryoniaDioica,
    buniumBulbocastanum,
    cakileMaritima,
    calendulaOfficinalis,
    callaPalustris,
    calthaPalustris,
    campanulaRapunculus,
    cardamineHirsuta,
    caryaOvata,
    castaneaSativa,
    celtisOccidentalis,
    cetrariaIslandica,
    chaerophyllumTemulum,
    chamaenerionAngustifolium,
    chelidoniumMajus,
    chenopodiumAlbum,
    cichoriumIntybus,
    cicutaMaculata,
    cicutaVirosa,
    cirsiumOleraceum,
    claytoniaPerfoliata,
    cochleariaDanica,
    colchicumAutumnale,
    colocasiaEsculenta,
    coniumMaculatum,
    convallariaMajalis,
    corylusAvellana,
    crambeMaritima,
    crataegusMonogyna,
    crithmumMaritimum,
    cucurbitaFoetidissima,
    cycasRevoluta,
    cymopterusLongipes,
    daphneMezereum,
    daturaStramonium,
    daucusCarota,
    dieffenbachiaSeguine,
    digitalisPurpurea,
    dioscoreaCommunis,
    diospyrosVirginiana,
    dipterostemonCapitatus,
    dryopterisFilixMas,
    echiumVulgare,
    elaeagnusUmbellata,
    empetrumNigrum,
    equisetumPalustre,
    euonymusEuropaeus,
    euphorbiaLactea,
    euphorbiaLathyris,
    euphorbiaMesembryanthemifolia,
    euphorbiaParalias,
    euphorbiaPeplus,
    fagusSylvatica,
    ficariaVerna,
    filipendulaUlmaria,
    foeniculumVulgare,
    fragariaVesca,
    frangulaAlnus,
    galiumAparine,
    galiumOdoratum,
    gaultheriaProcumbens,
    gaultheriaShallon,
    ginkgoBiloba,
    glauciumFlavum,
    glechomaHederacea,
    glycyrrhizaGlabra,
    halimionePortulacoides,
    hederaHelix,
    helianthusTuberosus,
    helleborusNiger,
    helosciadiumNodiflorum,
    hemerocallisFulva,
    heracleumMantegazzianum,
    heracleumSphondylium,
    hippophaeRhamnoides,
    hostaSieboldiana,
    humulusLupulus,
    hyacinthoidesNonScripta,
    hydrangeaMacrophylla,
    hylotelephiumTelephium,
    hyoscyamusNiger,
    hypochaerisRadicata,
    ilexAquifolium,
    irisPseudacorus,
    jacobaeaVulgaris,
    juglansNigra,
    juglansRegia,
    juniperusCommunis,
    juniperusSabina,
    laburnumAnagyroides,
    lactucaSerriola,
    lamiumAlbum,
    lamiumAmplexicaule,
    laporteaCanadensis,
    lathyrusLatifolius,
    lathyrusOdoratus,
    lathyrusSativus,
    lethariaVulpina,
    ligustrumVulgare,
    lomatiumBicolor,
    lomatiumCous,
    lomatiumGrayi,
    loniceraXylosteum,
    lupinusAlbus,
    lupinusPolyphyllus,
    lysimachiaArvensis,
    malvaSylvestris,
    manihotEsculenta,
    matricariaDiscoidea,
    matteucciaStruthiopteris,
    medicagoSativa,
    melilotusOfficinalis,
    menispermumCanadense,
    menthaPulegium,
    mercurialisPerennis,
    monardaPunctata,
    morusAlba,
    morusRubra,
    narcissusPseudonarcissus,
    nasturtiumOfficinale,
    nelumboLutea,
    nelumboNucifera,
    neriumOleander,
    nolinaTexana,
    nupharLutea,
    nymphaeaOdorata,
    oenantheCrocata,
    oenotheraBiennis,
    opuntiaFicusIndica,
    ornithogalumUmbellatum,
    oxalisAcetosella,
    oxalisStricta,
    parietariaJudaica,
    parisQuadrifolia,
    passifloraIncarnata,
    pastinacaSativa,
    peltandraVirginica,
    petasitesHybridus,
    petroselinumCrispum,
    phaseolusVulgaris,
    phragmitesAustralis,
    phyllostachysEdulis,
    phytolaccaAcinosa,
    phytolaccaAmericana,
    piceaAbies,
    piceaGlauca,
    pinusPonderosa,
    pinusSylvestris,
    plantagoLanceolata,
    plantagoMajor,
    podophyllumPeltatum,
    polygonatumMultiflorum,
    portulacaOleracea,
    potentillaIndica,
    primulaVeris,
    prunusArmeniaca,
    prunusAvium,
    prunusLaurocerasus,
    prunusSerotina,
    prunusSpinosa,
    pseudotsugaMenziesii,
    pteridiumAquilinum,
    quercusPetraea,
    quercusRobur,
    quercusRubra,
    quercusVirginiana,
    ranunculusAcris,
    reynoutriaJaponica,
    rheumRhabarbarum,
    rhododendronPonticum,
    rhusTyphina,
    ribesRubrum,
    ribesUvaCrispa,
    ricinusCommunis,
    robiniaPseudoacacia,
    rosaCanina,
    rubusFruticosus,
    rubusIdaeus,
    rubusTrivialis,
    rumexAcetosa,
    rumexAcetosella,
    rumexCrispus,
    sagittariaLatifolia,
    salicorniaEuropaea,
    salixAlba,
    salviaRosmarinus,
    sambucusCanadensis,
    sambucusEbulus,
    sambucusNigra,
    sambucusRacemosa,
    sanguisorbaMinor,
    sassafrasAlbidum,
    scrophulariaNodosa,
    senecioLeucanthemifolius,
    senecioVulgaris,
    sesuviumPortulacastrum,
    silybumMarianum,
    sinapisArvensis,
    smilaxHerbacea,
    smilaxRotundifolia,
    solanumDulcamara,
    solanumNigrum,
    solanumTuberosum,
    sonchusOleraceus,
    sorbusAria,
    sorbusAucuparia,
    stellariaMedia,
    symphytumOfficinale,
    tanacetumVulgare,
    taraxacumOfficinale,
    taxusBaccata,
    taxusCuspidata,
    tetragoniaTetragonioides,
    tiliaCordata,
    toxicodendronRadicans,
    toxicodendronVernix,
    toxicoscordionVenenosum,
    tragopogonPratensis,
    trapaNatans,
    trifoliumPratense,
    triglochinMaritima,
    tripoliumPannonicum,
    tropaeolumMajus,
    tussilagoFarfara,
    typhaLatifolia,
    urticaDioica,
    urticaUrens,
    vacciniumMyrtillus,
    vacciniumOxycoccos,
    vacciniumUliginosum,
    vacciniumVitisIdaea,
    veratrumAlbum,
    veratrumViride,
    viburnumLantana,
    viburnumOpulus,
    violaOdorata,
    vitisRiparia,
    wisteriaSinensis,
    yuccaElata,
  ] as unknown as readonly Taxon[],
}
