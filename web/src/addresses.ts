/** The address of everything that can be looked at. Names in it are the trade's: a step, a pad, a finding. */
const part = encodeURIComponent;

export const places = {
  floor: '/floor',
  newJob: '/new',
  newCustomer: (name: string) => `/new/customer${name ? `?name=${part(name)}` : ''}`,
  newJobFor: (customerId: string) => `/new/${part(customerId)}`,
  newQuad: (customerId: string) => `/new/${part(customerId)}/quad`,
  newJobOn: (customerId: string, quadId: string) => `/new/${part(customerId)}/${part(quadId)}`,
  quads: '/quads',
  quadBook: (quadId: string) => `/quads/${part(quadId)}/book`,
  stores: '/stores',
  model: (modelId: string) => `/stores/models/${part(modelId)}`,
  newBoard: '/stores/new-board',
  newBoardPart: (name: string) => `/stores/new-board/${part(name)}`,
  newFrame: '/stores/new-frame',
  newFramePart: (name: string) => `/stores/new-frame/${part(name)}`,
  catalogueFiles: '/stores/files',
  parts: '/stores/parts',
  part: (partId: string) => `/stores/parts/${part(partId)}`,
  stock: '/stores/stock',
  meters: '/stores/meters',
  templates: '/stores/templates',
  weightClasses: '/weight-classes',
  people: '/people',
  password: (personId: string) => `/people/${part(personId)}/password`,
  kept: '/kept',
  job: (jobId: string) => jobPlaces(jobId).now,
} as const;

/** The places inside one job. */
export function jobPlaces(jobId: string) {
  const at = `/jobs/${part(jobId)}`;
  return {
    now: at,
    step: (stepId: string) => `${at}/step/${part(stepId)}`,
    why: `${at}/why`,
    otherPad: (joint: string, pad: string) => `${at}/other-pad/${part(joint)}/${part(pad)}`,
    problem: `${at}/problem`,
    whatToDo: (defect: string) => `${at}/problem/${part(defect)}`,
    fault: (symptom: string) => `${at}/fault?symptom=${part(symptom)}`,
    faultOf: (record: string) => `${at}/fault?of=${part(record)}`,
    takeBack: `${at}/take-back`,
    cameIn: `${at}/came-in`,
    find: `${at}/find`,
    readAnywhere: `${at}/find/read`,
    isolate: `${at}/find/isolate`,
    replace: (slot: string | null = null) => (slot === null ? `${at}/replace` : `${at}/replace/${part(slot)}`),
    powered: `${at}/find/powered`,
    seen: `${at}/find/seen`,
    handOn: (record: string) => `${at}/hand-on/${part(record)}`,
    openPoint: `${at}/open-point`,
    sheet: `${at}/sheet`,
    touches: `${at}/touches`,
    layout: `${at}/layout`,
    measure: (margin: string) => `${at}/layout/measure/${part(margin)}`,
    letIn: `${at}/layout/let-in`,
    length: (wire: string) => `${at}/length/${part(wire)}`,
    layoutPicture: `${at}/layout/picture`,
    cuts: `${at}/cuts`,
    wiring: (joint: string | null = null) => (joint === null ? `${at}/wiring` : `${at}/wiring/${part(joint)}`),
    wireBody: (wireId: string) => `${at}/wire/${part(wireId)}`,
    board: (slot: string | null = null) => (slot === null ? `${at}/boards` : `${at}/boards/${part(slot)}`),
    finding: (key: string) => `${at}/finding/${part(key)}`,
    planner: `${at}/planner`,
    /** With a model that shall go onto the heap. */
    compose: (put: string | null = null) => (put === null ? `${at}/compose` : `${at}/compose?put=${part(put)}`),
    supplies: `${at}/supplies`,
    motors: `${at}/motors`,
    wires: `${at}/wires`,
    setUp: `${at}/set-up`,
    intake: `${at}/intake`,
    keepTemplate: `${at}/keep-template`,
  };
}

/** What is asked for on the way: the heap of a job that the new part goes onto. */
interface OnTheWay {
  heapOf?: string;
}

/** Where a model that was just stored is wanted: on the heap that it was drawn up for, else it is looked at. */
export function modelStored(modelId: string, state: unknown): string {
  const { heapOf } = (state ?? {}) as OnTheWay;
  return heapOf ? jobPlaces(heapOf).compose(modelId) : places.model(modelId);
}
