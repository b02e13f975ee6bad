import { formatList } from '../quantity/format'
import { commonName, type Catalogue } from './catalogue'
import { severityWord, type Taxon } from './taxon'
import type { Region } from './vocabulary'

const REGION_NAMES: Readonly<Record<Region, string>> = {
  europe: 'Europe',
  asia: 'Asia',
  'north-america': 'North America',
  'south-america': 'Central or South America',
  africa: 'Africa',
  australasia: 'Australasia',
}

/** Zones that are named after cities south of the Isthmus, or lie on it. */
const SOUTHERN_AMERICA =
  /^America\/(Argentina|Asuncion|Bogota|Bahia|Belem|Belize|Boa_Vista|Buenos_Aires|Campo_Grande|Caracas|Cayenne|Costa_Rica|Cuiaba|El_Salvador|Fortaleza|Guatemala|Guayaquil|Guyana|La_Paz|Lima|Maceio|Managua|Manaus|Montevideo|Panama|Paramaribo|Porto_Velho|Punta_Arenas|Recife|Rio_Branco|Santarem|Santiago|Sao_Paulo|Tegucigalpa)/

/** In which part of the world a kitchen lies, as far as its time zone tells. @example regionOf('Europe/Zurich') // 'europe' */
export function regionOf(timeZone: string): Region | undefined {
  if (SOUTHERN_AMERICA.test(timeZone)) return 'south-america'
  const [area = '', place = ''] = timeZone.split('/')
  if (area === 'Atlantic')
    return ['Azores', 'Canary', 'Faroe', 'Madeira', 'Reykjavik'].includes(place) ? 'europe' : undefined
  if (area === 'Pacific') return ['Auckland', 'Chatham', 'Norfolk'].includes(place) ? 'australasia' : undefined
  return AREAS[area]
}

const AREAS: Readonly<Record<string, Region>> = {
  Europe: 'europe',
  Asia: 'asia',
  America: 'north-america',
  Africa: 'africa',
  Australia: 'australasia',
}

/** Relatives that are named, at most. */
const NAMED_AT_MOST = 4

/**
 * The doubt whether a plant grows in a region at all, with the relatives that do: of its genus, else of its family. Undefined where
 * it grows there, or where the record or the region says nothing. Continents are coarse, and gardens hold anything: a doubt, never
 * a verdict (FIN-8).
 */
export function rangeDoubt(
  taxon: Taxon,
  { taxa }: Catalogue,
  region: Region | undefined,
): { readonly says: string; readonly relatives: readonly Taxon[] } | undefined {
  if (region === undefined || taxon.growsIn === undefined || taxon.growsIn.includes(region)) return undefined
  const local = taxa.filter((other) => other !== taxon && other.growsIn?.includes(region) === true)
  const genus = local.filter(({ scientificName }) => genusOf(scientificName) === genusOf(taxon.scientificName))
  const relatives = (genus.length > 0 ? genus : local.filter(({ family }) => family === taxon.family)).slice(
    0,
    NAMED_AT_MOST,
  )
  const kin =
    relatives.length === 0
      ? ''
      : ` On record there of its ${genus.length > 0 ? 'genus' : 'family'}: ${formatList(
          relatives.map(
            (each) => `${commonName(each)}${each.severity === 'harmless' ? '' : ` (${severityWord(each.severity)})`}`,
          ),
        )}.`
  return {
    says: `By its record it does not grow wild in ${REGION_NAMES[region]}: what goes by this name there may be another plant, and neither its tells nor its treatment hold for that one.${kin}`,
    relatives,
  }
}

function genusOf(scientificName: string): string {
  return scientificName.split(' ')[0] ?? scientificName
}
