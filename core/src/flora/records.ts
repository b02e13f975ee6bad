import type { Catalogue } from './catalogue'
import type { Taxon } from './taxon'
import abiesAlba from './records/abies-alba.json' with { type: 'json' }
import aesculusHippocastanum from './records/aesculus-hippocastanum.json' with { type: 'json' }
import ageratinaAltissima from './records/ageratina-altissima.json' with { type: 'json' }
import alliumUrsinum from './records/allium-ursinum.json' with { type: 'json' }
import araliaSpinosa from './records/aralia-spinosa.json' with { type: 'json' }
import arumMaculatum from './records/arum-maculatum.json' with { type: 'json' }
import atriplexProstrata from './records/atriplex-prostrata.json' with { type: 'json' }
import betaVulgaris from './records/beta-vulgaris.json' with { type: 'json' }
import cicutaMaculata from './records/cicuta-maculata.json' with { type: 'json' }
import cicutaVirosa from './records/cicuta-virosa.json' with { type: 'json' }
import colchicumAutumnale from './records/colchicum-autumnale.json' with { type: 'json' }
import coniumMaculatum from './records/conium-maculatum.json' with { type: 'json' }
import convallariaMajalis from './records/convallaria-majalis.json' with { type: 'json' }
import hederaHelix from './records/hedera-helix.json' with { type: 'json' }
import heracleumMantegazzianum from './records/heracleum-mantegazzianum.json' with { type: 'json' }
import lamiumAlbum from './records/lamium-album.json' with { type: 'json' }
import laporteaCanadensis from './records/laportea-canadensis.json' with { type: 'json' }
import ligustrumVulgare from './records/ligustrum-vulgare.json' with { type: 'json' }
import mercurialisPerennis from './records/mercurialis-perennis.json' with { type: 'json' }
import narcissusPseudonarcissus from './records/narcissus-pseudonarcissus.json' with { type: 'json' }
import phytolaccaAmericana from './records/phytolacca-americana.json' with { type: 'json' }
import piceaAbies from './records/picea-abies.json' with { type: 'json' }
import polygonatumMultiflorum from './records/polygonatum-multiflorum.json' with { type: 'json' }
import pseudotsugaMenziesii from './records/pseudotsuga-menziesii.json' with { type: 'json' }
import quercusPetraea from './records/quercus-petraea.json' with { type: 'json' }
import quercusRobur from './records/quercus-robur.json' with { type: 'json' }
import quercusRubra from './records/quercus-rubra.json' with { type: 'json' }
import rumexCrispus from './records/rumex-crispus.json' with { type: 'json' }
import sambucusEbulus from './records/sambucus-ebulus.json' with { type: 'json' }
import sambucusNigra from './records/sambucus-nigra.json' with { type: 'json' }
import sambucusRacemosa from './records/sambucus-racemosa.json' with { type: 'json' }
import scrophulariaNodosa from './records/scrophularia-nodosa.json' with { type: 'json' }
import taxusBaccata from './records/taxus-baccata.json' with { type: 'json' }
import urticaDioica from './records/urtica-dioica.json' with { type: 'json' }
import urticaUrens from './records/urtica-urens.json' with { type: 'json' }

/** The catalogue that ships. Its records are data, checked against one schema by a test; the cast is what that test earns. */
export const CATALOGUE: Catalogue = {
  revision: '2026-11-25',
  taxa: [
    abiesAlba,
    aesculusHippocastanum,
    ageratinaAltissima,
    alliumUrsinum,
    araliaSpinosa,
    arumMaculatum,
    atriplexProstrata,
    betaVulgaris,
    cicutaMaculata,
    cicutaVirosa,
    colchicumAutumnale,
    coniumMaculatum,
    convallariaMajalis,
    hederaHelix,
    heracleumMantegazzianum,
    lamiumAlbum,
    laporteaCanadensis,
    ligustrumVulgare,
    mercurialisPerennis,
    narcissusPseudonarcissus,
    phytolaccaAmericana,
    piceaAbies,
    polygonatumMultiflorum,
    pseudotsugaMenziesii,
    quercusPetraea,
    quercusRobur,
    quercusRubra,
    rumexCrispus,
    sambucusEbulus,
    sambucusNigra,
    sambucusRacemosa,
    scrophulariaNodosa,
    taxusBaccata,
    urticaDioica,
    urticaUrens,
  ] as unknown as readonly Taxon[],
}
