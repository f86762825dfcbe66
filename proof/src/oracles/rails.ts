/** What hangs on each regulator while a small build is being tried, and whether it bears that. */
import { Parts } from './parts';

export class Rails extends Parts {
  protected load(
    onRail: Map<string, { typical: number; peak: number }>,
    rail: string,
    { typical, peak }: { typical: number; peak: number },
    turn: 1 | -1,
  ): void {
    const [slot, id] = rail.split('/') as [string, string];
    const element = this.model(slot).elements.find((element) => element.id === id);
    if (element?.is !== 'regulator') return;
    const was = onRail.get(rail) ?? { typical: 0, peak: 0 };
    onRail.set(rail, { typical: was.typical + turn * typical, peak: was.peak + turn * peak });
    const above = this.regulator(slot, element.input);
    if (!above) return;
    const factor = element.kindOf === 'linear' ? 1 : element.outV / (element.efficiency * above.outV);
    this.load(onRail, `${slot}/${above.id}`, { typical: typical * factor, peak: peak * factor }, turn);
  }

  protected own(rail: string) {
    const [slot, id] = rail.split('/') as [string, string];
    const model = this.model(slot);
    const element = model.elements.find((element) => element.id === id);
    if (element?.is !== 'regulator') throw new RangeError(rail);
    const own = this.drawn(model, element.output, element.outV);
    return { element, ...own, flight: own.typical > 0 && ['controller', 'single board'].includes(model.kind) };
  }

  protected over(onRail: ReadonlyMap<string, { typical: number; peak: number }>): number {
    return (
      [...onRail].filter(([rail, used]) => {
        const { element, typical, peak, flight } = this.own(rail);
        const planned =
          used.typical + typical > Math.min(element.limitA * 0.75, element.stillAirA) + 1e-9 ||
          (!flight && used.peak + peak > element.limitA + 1e-9);
        return used.typical > 1e-12 && planned;
      }).length * 10
    );
  }

  protected bears(onRail: ReadonlyMap<string, { typical: number; peak: number }>): boolean {
    return [...onRail].every(([rail, used]) => {
      const { element, typical, peak, flight } = this.own(rail);
      return used.typical + typical <= element.limitA + 1e-9 && (!flight || used.peak + peak <= element.limitA + 1e-9);
    });
  }
}
