/**
 * The parts of a small build, read from the catalogue by the reference for itself: pins, distances, regulators, what is
 * drawn.
 */
import type { Build, Catalogue, PartModel } from '@junctor/core';
import { wayInFrame } from './wayInFrame';

export type Model = PartModel;
export type Term = Model['terminals'][number];
export interface Pad {
  slot: string;
  terminal: Term;
}

const solderMm = 15;
const slackMm = 30;
/** Flat off a pad, at each end. */
const exitMm = 4;

export class Parts {
  constructor(
    protected readonly slots: Build['slots'],
    private readonly catalogue: Catalogue,
    protected readonly packV: readonly [number, number],
  ) {}

  protected model(slot: string): Model {
    return this.catalogue.model(this.slots[slot]!);
  }

  protected boards(): string[] {
    return Object.keys(this.slots).filter((slot) => ['controller', 'single board'].includes(this.model(slot).kind));
  }

  protected pins(slot: string, port: string, pin: string): Pad[] {
    return this.model(slot)
      .terminals.filter(
        (terminal) =>
          terminal.holds > 0 &&
          terminal.roles.some((role) => role.is === 'port' && role.port === port && role.pin === pin),
      )
      .map((terminal) => ({ slot, terminal }));
  }

  protected firstPin(slot: string, port: string, pin: string): Pad | undefined {
    const all = this.pins(slot, port, pin);
    return all.find(({ terminal }) => terminal.form !== 'pin') ?? all[0];
  }

  protected mm(a: Pad, b: Pad): number {
    const at = ({ slot, terminal }: Pad) => {
      const pose = this.slots[slot]!.pose!;
      const turn = (pose.yawDeg * Math.PI) / 180;
      const x = pose.face === 'down' ? -terminal.atMm[0] : terminal.atMm[0];
      const y = terminal.atMm[1];
      return [
        pose.atMm[0] + x * Math.cos(turn) - y * Math.sin(turn),
        pose.atMm[1] + x * Math.sin(turn) + y * Math.cos(turn),
        pose.atMm[2],
      ] as const;
    };
    const frame = Object.keys(this.slots)
      .map((slot) => this.model(slot).frame)
      .find((one) => one !== undefined);
    const way = wayInFrame(frame, [at(a), this.slots[a.slot]!.pose!], [at(b), this.slots[b.slot]!.pose!]);
    return Math.round(way + slackMm + 2 * exitMm) + (b.terminal.form === 'pin' ? 0 : solderMm);
  }

  protected regulator(slot: string, node: string) {
    return this.model(slot).elements.find((element) => element.is === 'regulator' && element.output === node) as
      Extract<Model['elements'][number], { is: 'regulator' }> | undefined;
  }

  protected output(slot: string, regulator: NonNullable<ReturnType<Parts['regulator']>>): [number, number] {
    const above = this.regulator(slot, regulator.input);
    const takes = this.model(slot)
      .terminals.find(
        ({ node, roles }) =>
          node === regulator.input && roles.some((role) => role.is === 'supply' && role.dir === 'takes'),
      )
      ?.roles.find(({ is }) => is === 'supply');
    const range = takes?.is === 'supply' ? takes.volts : null;
    const inputOf = () => {
      if (above) return this.output(slot, above);
      if (!range || (range[0] <= this.packV[0] && range[1] >= this.packV[1])) return this.packV;
      return range;
    };
    const input = inputOf();
    const at = (volts: number) => {
      if (volts >= regulator.minInV) return regulator.outV;
      if (regulator.kindOf === 'step-up') return 0;
      return Math.max(
        0,
        Math.min(
          regulator.outV,
          volts - (regulator.kindOf === 'linear' ? Math.max(0.1, regulator.minInV - regulator.outV) : 0.5),
        ),
      );
    };
    return [at(input[0]), at(input[1])];
  }

  protected draw(slot: string, volts: number): { typical: number; peak: number } {
    const model = this.model(slot);
    const own = model.terminals.find(({ roles }) =>
      roles.some((role) => role.is === 'supply' && role.dir === 'takes'),
    )!.node;
    return this.drawn(model, own, volts);
  }

  protected drawn(model: Model, node: string, volts: number): { typical: number; peak: number } {
    let [typical, peak] = [0, 0];
    for (const one of model.elements) {
      if (one.is === 'load' && one.plus === node) [typical, peak] = [typical + one.typicalA, peak + one.peakA];
      if (one.is !== 'regulator' || one.input !== node) continue;
      const below = this.drawn(model, one.output, one.outV);
      const factor = one.kindOf === 'linear' ? 1 : one.outV / (one.efficiency * volts);
      [typical, peak] = [typical + below.typical * factor + one.idleA, peak + below.peak * factor + one.idleA];
    }
    return { typical, peak };
  }
}
