/** The picture: from the camera through the board, or straight to the transmitter. */
import { isCamera } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Wish } from '../../facts/plan/wish';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Signal, Option } from './ways';
import { wayLoss, controllers, pinsOf } from './ways';

/** Camera to controller to transmitter, or straight. */
export function video(wish: Wish, model: PartModel, parts: Assembly): Option[] {
  const input = model.ports.find(({ kind, way }) => kind === 'video' && way === 'takes');
  const camera = Object.keys(parts.build.slots).find((slot) => isCamera(parts.model(slot)!));
  const output = camera && parts.model(camera)!.ports.find(({ kind }) => kind === 'video');
  const into = input && pinsOf(wish.of, model, input.id, 'in')[0];
  const from = camera && output && pinsOf(camera, parts.model(camera)!, output.id, 'out')[0];
  // A digital unit takes its picture over the camera's own cable: it only wants to be fed.
  if (!input)
    return [
      {
        id: `${wish.id} digital`,
        wish: wish.id,
        way: 'with its own camera',
        takes: [],
        signals: [],
        ends: [],
        loss: 0,
        set: {},
        parts: [],
      },
    ];
  if (!into) return [];
  const through = controllers(parts).flatMap((host): Option[] => {
    const board = parts.model(host)!;
    const [camIn, vidOut] = [
      board.ports.find(({ kind, way }) => kind === 'video' && way === 'takes'),
      board.ports.find(({ kind, way }) => kind === 'video' && way === 'gives'),
    ];
    if (!camIn || !vidOut || !from) return [];
    const link = `camera ${camera}`;
    const signals: Signal[] = [
      { own: from, pads: pinsOf(host, board, camIn.id, 'in'), link },
      { own: into, pads: pinsOf(host, board, vidOut.id, 'out') },
    ];
    if (signals.some(({ pads }) => pads.length === 0)) return [];
    return [
      {
        id: `${wish.id} through the controller ${host}`,
        wish: wish.id,
        way: 'through the controller',
        takes: [`${host}/${camIn.id}`, `${host}/${vidOut.id}`],
        signals,
        ends: [
          { slot: wish.of, port: input.id },
          { slot: host, port: vidOut.id },
        ],
        loss: 0,
        set: {},
        parts: [camera],
        besides: [
          {
            id: link,
            purpose: `picture of ${camera}`,
            ends: [
              { slot: camera, port: output!.id },
              { slot: host, port: camIn.id },
            ],
          },
        ],
      },
    ];
  });
  const straight: Option[] =
    from && camera && output
      ? [
          {
            id: `${wish.id} straight`,
            wish: wish.id,
            way: 'straight to the transmitter',
            takes: [`${wish.of}/${input.id}`],
            signals: [{ own: from, pads: [into] }],
            ends: [
              { slot: camera, port: output.id },
              { slot: wish.of, port: input.id },
            ],
            loss: wayLoss['straight to the transmitter']!,
            set: {},
            parts: [camera],
          },
        ]
      : [];
  return [...through, ...straight];
}
