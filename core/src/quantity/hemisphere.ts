const SOUTHERN_ZONES =
  /^(Australia|Antarctica)\/|^Pacific\/(Auckland|Chatham|Norfolk)|^America\/(Argentina|Asuncion|Buenos_Aires|Campo_Grande|Cuiaba|La_Paz|Lima|Montevideo|Punta_Arenas|Santiago|Sao_Paulo)|^Africa\/(Gaborone|Harare|Johannesburg|Lusaka|Maputo|Maseru|Mbabane|Windhoek)/

/**
 * Whether a place lies on the southern half of the earth, where spring comes in September: by its latitude, else by what its time
 * zone tells; on the northern where neither does.
 */
export function isSouthern(latitude_deg: number | undefined, timeZone: string): boolean {
  return latitude_deg === undefined ? SOUTHERN_ZONES.test(timeZone) : latitude_deg < 0
}
