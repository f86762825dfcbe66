/** What a frame contradicts in itself: places without room, ways that lead nowhere, a lid that is no plate. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel } from './partModel';
import { twice } from './twice';

/** The smallest frames have their motors twice as far from the middle: whoever is below has typed another unit. */
const leastMm = 15;

export function checkFrame({ kind, frame }: Pick<PartModel, 'kind' | 'frame'>): ModelMistake[] {
  if (!frame) return [];
  const { corners, plates = [], places = [], ways = [], lid, route } = frame;
  const points = new Set(Object.keys(route.points));
  return [
    ...(kind === 'frame' ? [] : [mistake('frame', 'kind', `a ${kind} is no frame`)]),
    ...(corners.length > 0 && corners.every(({ atMm }) => Math.hypot(...atMm) < leastMm)
      ? [mistake('frame.corners', 'unit', `no motor is ${leastMm} mm from the middle: lengths are in mm`)]
      : []),
    ...twice(plates, 'frame.plates'),
    ...twice(places, 'frame.places'),
    ...twice(ways, 'frame.ways'),
    ...places.flatMap(({ id, roomMm, entry, kind: sort, holes }, index) => [
      ...(roomMm.some((room) => room <= 0)
        ? [mistake(`frame.places.${index}.roomMm`, 'room', `${id} has no room`)]
        : []),
      ...(points.has(entry)
        ? []
        : [mistake(`frame.places.${index}.entry`, 'unknown', `wires come into ${id} at ${entry}, which is no point`)]),
      ...(sort === 'stack' && !holes
        ? [mistake(`frame.places.${index}.holes`, 'none', `${id} is a stack: it needs a hole pattern`)]
        : []),
    ]),
    ...ways.flatMap(({ id, facing }, index) =>
      facing.every((part) => part === 0)
        ? [mistake(`frame.ways.${index}.facing`, 'direction', `${id} faces nowhere`)]
        : [],
    ),
    ...route.edges.flatMap((edge, index) =>
      edge
        .filter((point) => !points.has(point))
        .map((point) => mistake(`frame.route.edges.${index}`, 'unknown', `${point} is no point of the route`)),
    ),
    ...(lid && !plates.some(({ id }) => id === lid.plate)
      ? [mistake('frame.lid.plate', 'unknown', `the lid ${lid.plate} is no plate`)]
      : []),
  ];
}
