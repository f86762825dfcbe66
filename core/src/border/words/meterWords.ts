/** A meter's card, as it is said at the bench. */
import type { Meter, MeterSource } from '../../facts/terms/meter';
import { numberWords } from './readingWords';

export function meterWords({ beepBelowOhms, spread, modes, ...tone }: Omit<Meter, 'id' | 'name'>): string {
  const [low, high] = [beepBelowOhms * (1 - spread), beepBelowOhms * (1 + spread)];
  const diode = modes?.diode ?? tone;
  const counts = diode.countsTo === undefined ? '' : `, shows up to ${numberWords(diode.countsTo)} V`;
  return `sounds below ${numberWords(Math.round(low))} to ${numberWords(Math.round(high))} Ω, by ${sourceWords(tone)}; diode volts by ${sourceWords(diode)}${counts}`;
}

function sourceWords({ limitV, limitA, seriesOhms }: MeterSource): string {
  return seriesOhms === null
    ? `${numberWords(limitA * 1000)} mA up to ${numberWords(limitV)} V`
    : `${numberWords(limitV)} V behind ${numberWords(seriesOhms)} Ω`;
}
