import { number } from '@/ui/format';

/** A family as its file holds it, the way the form edits it: every figure as it is typed. */
export interface PositionRow {
  code: string;
  name: string;
  subsystem: string;
  part: string;
  faces: string;
  count: string;
  life: string;
}
export interface FamilyText {
  name: string;
  letters: string;
  traits: Record<string, string>;
  build: { x: string; y: string; z: string; shape: string; origin: string };
  heat: { hotend_most_c: string; bed_most_c: string; hotend_rise_s: string; bed_rise_s: string };
  starts: Record<string, string>;
  fasteners: string;
  sockets: { name: string; subsystem: string }[];
  service: { item: string; hours: string; months: string }[];
  positions: PositionRow[];
  /** what this form does not show, kept as it is */
  rest: Record<string, unknown>;
}

type Map = Record<string, unknown>;
const text = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';
const map = (value: unknown): Map =>
  value !== null && typeof value === 'object' && !Array.isArray(value) ? (value as Map) : {};
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);
const figure = (typed: string): number | string | undefined =>
  typed.trim() === '' ? undefined : (number(typed) ?? typed);
const some = (of: Map): Map | undefined => {
  const said = Object.fromEntries(
    Object.entries(of).filter(([, value]) => value !== undefined && value !== ''),
  );
  return Object.keys(said).length === 0 ? undefined : said;
};

const SHOWN = [
  'code',
  'name',
  'letters',
  'traits',
  'build',
  'heat',
  'starts',
  'fasteners',
  'sockets',
  'service',
  'positions',
  'unknown',
];

export function typed(content: Map): FamilyText {
  const build = map(content['build']);
  const heat = map(content['heat']);
  return {
    name: text(content['name']),
    letters: text(content['letters']),
    traits: Object.fromEntries(
      Object.entries(map(content['traits'])).map(([key, value]) => [key, text(value)]),
    ),
    build: {
      x: text(build['x']),
      y: text(build['y']),
      z: text(build['z']),
      shape: text(build['shape']) || 'box',
      origin: text(build['origin']) || 'corner',
    },
    heat: {
      hotend_most_c: text(heat['hotend_most_c']),
      bed_most_c: text(heat['bed_most_c']),
      hotend_rise_s: text(heat['hotend_rise_s']),
      bed_rise_s: text(heat['bed_rise_s']),
    },
    starts: Object.fromEntries(
      Object.entries(map(content['starts'])).map(([key, value]) => [key, text(value)]),
    ),
    fasteners: list(content['fasteners']).map(text).join(', '),
    sockets: Object.entries(map(content['sockets'])).map(([name, subsystem]) => ({
      name,
      subsystem: text(subsystem),
    })),
    service: Object.entries(map(content['service'])).map(([item, of]) => ({
      item,
      hours: text(map(of)['every_hours']),
      months: text(map(of)['every_months']),
    })),
    positions: list(content['positions']).map((one) => ({
      code: text(map(one)['code']),
      name: text(map(one)['name']),
      subsystem: text(map(one)['subsystem']),
      part: text(map(one)['part']),
      faces: text(map(one)['faces']),
      count: text(map(one)['count']),
      life: text(map(one)['life_hours']),
    })),
    rest: Object.fromEntries(Object.entries(content).filter(([key]) => !SHOWN.includes(key))),
  };
}

const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

export function content(form: FamilyText): Map {
  return {
    ...form.rest,
    name: form.name.trim(),
    letters: form.letters.trim().toUpperCase(),
    traits: some(form.traits) ?? {},
    build: some({
      x: figure(form.build.x),
      y: figure(form.build.y),
      z: figure(form.build.z),
      shape: form.build.shape,
      origin: form.build.origin,
    }),
    heat: some(Object.fromEntries(Object.entries(form.heat).map(([key, value]) => [key, figure(value)]))),
    starts: some(Object.fromEntries(Object.entries(form.starts).map(([key, value]) => [key, figure(value)]))),
    fasteners: form.fasteners
      .split(',')
      .map((one) => one.trim())
      .filter((one) => one !== ''),
    sockets: some(Object.fromEntries(form.sockets.map((one) => [one.name.trim(), one.subsystem]))),
    service: some(
      Object.fromEntries(
        form.service
          .filter((one) => one.item !== '')
          .map((one) => [
            one.item,
            some({ every_hours: figure(one.hours), every_months: figure(one.months) }) ?? {},
          ]),
      ),
    ),
    positions: form.positions.map((one) =>
      some({
        code: one.code || slug(one.name),
        name: one.name.trim(),
        subsystem: one.subsystem,
        part: one.part,
        faces: figure(one.faces),
        count: figure(one.count),
        life_hours: figure(one.life),
      }),
    ),
  };
}

export const emptyPosition = (): PositionRow => ({
  code: '',
  name: '',
  subsystem: '',
  part: '',
  faces: '',
  count: '',
  life: '',
});
