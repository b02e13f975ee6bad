import type { Catalogue } from './catalogue'
import type { Taxon } from './taxon'
import ageratinaAltissima from './records/ageratina-altissima.json' with { type: 'json' }
import lamiumAlbum from './records/lamium-album.json' with { type: 'json' }
import laporteaCanadensis from './records/laportea-canadensis.json' with { type: 'json' }
import mercurialisPerennis from './records/mercurialis-perennis.json' with { type: 'json' }
import scrophulariaNodosa from './records/scrophularia-nodosa.json' with { type: 'json' }
import urticaDioica from './records/urtica-dioica.json' with { type: 'json' }
import urticaUrens from './records/urtica-urens.json' with { type: 'json' }

/** The catalogue that ships. Its records are data, checked against one schema by a test; the cast is what that test earns. */
export const CATALOGUE: Catalogue = {
  revision: '2026-11-24',
  taxa: [
    ageratinaAltissima,
    lamiumAlbum,
    laporteaCanadensis,
    mercurialisPerennis,
    scrophulariaNodosa,
    urticaDioica,
    urticaUrens,
  ] as unknown as readonly Taxon[],
}
