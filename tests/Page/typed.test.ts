import { expect, test } from 'vitest';
import { kept, usual } from '@/Intake/cameAlong';
import { content, emptyPosition, typed } from '@/Machines/family';
import { ownerBody } from '@/Machines/ownerBody';
import { inField, typed as sum, wayName } from '@/Money/sums';
import { onLabel } from '@/Stock/onLabel';
import { settingNames, unitOf } from '@/Diagnosis/settingUnits';
import { labels, spots } from '@/ui/machinePlaces';

// what is typed and what goes to the server

test('a sum goes into its field as it is written, and nothing goes as nothing', () => {
  expect([0, 5, 120, 12_345, -1999, null, undefined].map(inField)).toEqual([
    '0.00',
    '0.05',
    '1.20',
    '123.45',
    '-19.99',
    '',
    '',
  ]);
  expect(['', '  ', ' 12,50 ', '0'].map(sum)).toEqual([null, null, '12,50', '0']);
  expect([wayName('letter'), wayName('pigeon')]).toEqual(['by letter', 'pigeon']);
});

test('an owner is named by number or by name, and only where the machine is one’s', () => {
  expect(ownerBody('farm', '7', 'Ines', '', false)).toEqual({});
  expect(ownerBody('owner', '7', 'Ines', 'x', true)).toEqual({ ownerId: 7 });
  expect(ownerBody('owner', '', 'Ines', '', true)).toEqual({
    ownerName: 'Ines',
    ownerContact: null,
    ownerIsAnother: true,
  });
  expect(ownerBody('owner', '', '', '', false)).toEqual({
    ownerName: null,
    ownerContact: null,
    ownerIsAnother: false,
  });
});

test('a bin label is read as its number, whatever shop printed the address on it', () => {
  expect(onLabel(' https://bench.example:8443/shelf/LIN-4 ')).toBe('LIN-4');
  expect(onLabel('http://10.0.0.5/shelf/N/A%20B')).toBe('N/A%20B');
  expect(onLabel('LIN-4')).toBe('LIN-4');
  expect(onLabel('C4')).toBe('C4');
});

test('a setting is named without its unit, and its unit stands beside it', () => {
  const settings = [
    { code: 'nozzle', name: 'nozzle, °C' },
    { code: 'fan', name: 'fan' },
  ];
  expect(settingNames(settings)).toEqual([
    { name: 'nozzle', unit: '°C' },
    { name: 'fan', unit: '' },
  ]);
  expect([unitOf(settings, 'nozzle'), unitOf(settings, 'fan'), unitOf(settings, 'moon')]).toEqual([
    '°C',
    '',
    '',
  ]);
});

test('what came along is kept through a reload, and what was damaged is nothing', () => {
  const one = { code: null, name: 'Spool', came: 2, went: 0, staysBecause: null };
  expect(kept(JSON.stringify([one]))).toEqual([one]);
  expect(['', '{', '{"a":1}', 'null'].map(kept)).toEqual([[], [], [], []]);
  const words = {
    accessories: [
      { code: 'cord', name: 'Mains cord' },
      { code: 'hub', name: 'Hub' },
    ],
    families: [{ code: 'wren-mini', accessories: ['cord'] }],
  } as unknown as Parameters<typeof usual>[0];
  expect(usual(words, 'wren-mini').map((a) => a.code)).toEqual(['cord']);
  expect(usual(words, null).map((a) => a.code)).toEqual(['cord', 'hub']);
});

test('what a drawn machine shows lies on its canvas, and its labels stand apart in the order of their heights', () => {
  const codes = Object.keys(spots({ motion: 'delta' }));
  for (const motion of ['slinger', 'cantilever', 'corexy', 'gantry', 'delta'])
    for (const path of ['bowden', 'direct']) {
      const traits = { motion, filament_path: path };
      const where = spots(traits);
      expect(Object.keys(where).sort()).toEqual([...codes].sort());
      for (const { x, y } of Object.values(where)) {
        expect(Math.min(x, y)).toBeGreaterThan(0);
        expect(Math.max(x, y)).toBeLessThan(300);
      }
      // with the filament pushed in at the head, what pushes it sits there
      if (path === 'direct')
        expect(
          Math.hypot(
            (where['drive']?.x ?? 0) - (where['head']?.x ?? 0),
            (where['drive']?.y ?? 0) - (where['head']?.y ?? 0),
          ),
        ).toBeLessThan(40);
      const { left, right } = labels([...codes, 'nowhere'], traits, 300);
      expect(left.length + right.length).toBe(codes.length);
      expect(Math.abs(left.length - right.length)).toBeLessThanOrEqual(1);
      for (const column of [left, right])
        for (const [i, label] of column.entries()) {
          expect(label.y).toBeGreaterThan(0);
          expect(label.y).toBeLessThan(300);
          const above = column[i - 1];
          if (!above) continue;
          expect(label.y - above.y).toBeGreaterThan(20);
          expect(label.spot.y).toBeGreaterThanOrEqual(above.spot.y);
        }
    }
});

test('a figure of a family is a number with point or comma, and what is none goes as it was typed', () => {
  const form = typed({ name: 'Dunlin', letters: 'dn', build: { x: 200, y: 200.5, z: 180 }, odd: [1, 2] });
  expect([form.build.x, form.build.y, form.build.shape, form.build.origin]).toEqual([
    '200',
    '200.5',
    'box',
    'corner',
  ]);
  form.build.x = ' 210,5 ';
  form.build.y = 'wide';
  form.build.z = '';
  form.heat.hotend_most_c = '0x1F';
  form.positions.push({ ...emptyPosition(), name: 'Z screw, left!', part: 'leadscrew', count: '2' });
  const written = content(form);
  expect(written['build']).toEqual({ x: 210.5, y: 'wide', shape: 'box', origin: 'corner' });
  expect(written['heat']).toEqual({ hotend_most_c: '0x1F' });
  expect(written['letters']).toBe('DN');
  expect(written['odd']).toEqual([1, 2]);
  expect(written['positions']).toEqual([
    { code: 'z-screw-left', name: 'Z screw, left!', part: 'leadscrew', count: 2 },
  ]);
});
