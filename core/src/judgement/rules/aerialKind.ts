/** An aerial for another band, or for a wave that turns otherwise. */
import type { Port } from '../../facts/catalogue/partModel';
import type { Finding, PortAt, Rule, RuleView } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'aerial kind';

export const aerialKind: Rule = {
  name,
  why: 'An aerial for another band sends most of the power back into the transmitter, and one of another polarisation is heard at a fraction of the range.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const aerials = portsOn(view, net).filter(({ port }) => port.kind === 'aerial');
      const senders = aerials.filter(({ port }) => port.way === 'gives');
      return aerials
        .filter(({ port }) => port.way === 'takes')
        .flatMap((aerial) => senders.flatMap((sender) => unsuited(view, sender, aerial)));
    }),
};

function unsuited(view: RuleView, sender: PortAt, aerial: PortAt): Finding[] {
  const [sends, takes] = [sender.port.radio, aerial.port.radio];
  const message = unsuitedWords(sends, takes);
  if (!message) return [];
  const at = [sender.ref, aerial.ref];
  const words = `${spoken(view, sender.ref)} ${message} (${aerial.slot}).`;
  return [finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(sender.ref)!, at, message: words })];
}

export type Radio = NonNullable<Port['radio']>;

/** What stands against it; what a sheet does not say is not known, and not judged. */
export function unsuitedWords(sends: Radio | undefined, takes: Radio | undefined): string | null {
  return sends && takes ? (otherBand(sends, takes) ?? otherWave(sends, takes)) : null;
}

function otherBand({ bandMHz: [low, high] }: Radio, { bandMHz: [from, to] }: Radio): string | null {
  return low < from || high > to
    ? `sends from ${low} to ${high} MHz, and the aerial on it is for ${from} to ${to} MHz`
    : null;
}

function otherWave(sends: Radio, takes: Radio): string | null {
  if (!sends.polarisation || !takes.polarisation || sends.polarisation === takes.polarisation) return null;
  return `wants a ${waveWords(sends.polarisation)} aerial, and a ${waveWords(takes.polarisation)} one is on it`;
}

function waveWords(polarisation: NonNullable<Radio['polarisation']>): string {
  return polarisation === 'linear' ? 'linear' : `${polarisation}-turning`;
}
