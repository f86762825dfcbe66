/**
 * What the local law says and no wire tells: the region that radios are set to, the most that may be transmitted. The
 * program keeps what somebody has answered and judges none of it.
 */
import { lookUp } from '../../facts/terms/lookUp';

export const lawSchools = {
  region: 'law region',
  transmitMw: 'law transmit mW',
} as const;

export interface LocalLaw {
  region: string | null;
  transmitMw: string | null;
}

/** What has been answered; null where nobody has. */
export function localLawOf(schools: Readonly<Record<string, string>>): LocalLaw {
  return {
    region: lookUp(schools, lawSchools.region) ?? null,
    transmitMw: lookUp(schools, lawSchools.transmitMw) ?? null,
  };
}

/** As a line of what is to be set. */
export function lawWords({ region, transmitMw }: LocalLaw): string {
  if (!region) return 'region of the law here: not said yet';
  return `region of the law here: ${region}${transmitMw ? `, at most ${transmitMw} mW` : ''}`;
}
