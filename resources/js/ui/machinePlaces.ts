/** Where each place stands on a drawn machine of this kind, on a canvas of 300 × 300. */
export type Traits = Record<string, string>;
export interface Spot {
  x: number;
  y: number;
}

const slinger: Record<string, Spot> = {
  print: { x: 148, y: 184 },
  plate: { x: 100, y: 201 },
  bed: { x: 196, y: 214 },
  head: { x: 148, y: 142 },
  fans: { x: 165, y: 121 },
  drive: { x: 96, y: 112 },
  tube: { x: 112, y: 62 },
  spool: { x: 150, y: 36 },
  feeder: { x: 150, y: 36 },
  guides: { x: 205, y: 118 },
  belts: { x: 226, y: 112 },
  uprights: { x: 72, y: 150 },
  ends: { x: 80, y: 122 },
  frame: { x: 228, y: 176 },
  electrics: { x: 108, y: 262 },
  screen: { x: 232, y: 262 },
};

const cantilever: Record<string, Spot> = {
  ...slinger,
  drive: { x: 62, y: 86 },
  guides: { x: 176, y: 118 },
  belts: { x: 208, y: 112 },
  frame: { x: 214, y: 240 },
  spool: { x: 72, y: 34 },
  tube: { x: 120, y: 78 },
};

const box: Record<string, Spot> = {
  print: { x: 148, y: 178 },
  plate: { x: 102, y: 197 },
  bed: { x: 196, y: 210 },
  head: { x: 148, y: 128 },
  fans: { x: 164, y: 104 },
  drive: { x: 246, y: 70 },
  tube: { x: 198, y: 62 },
  spool: { x: 272, y: 150 },
  feeder: { x: 150, y: 28 },
  guides: { x: 102, y: 92 },
  belts: { x: 74, y: 78 },
  uprights: { x: 70, y: 168 },
  ends: { x: 66, y: 100 },
  frame: { x: 232, y: 128 },
  electrics: { x: 104, y: 262 },
  screen: { x: 218, y: 262 },
};

const delta: Record<string, Spot> = {
  print: { x: 148, y: 200 },
  plate: { x: 112, y: 217 },
  bed: { x: 186, y: 226 },
  head: { x: 148, y: 168 },
  fans: { x: 164, y: 156 },
  drive: { x: 84, y: 66 },
  tube: { x: 122, y: 82 },
  spool: { x: 150, y: 22 },
  feeder: { x: 150, y: 22 },
  guides: { x: 224, y: 120 },
  belts: { x: 230, y: 168 },
  uprights: { x: 76, y: 140 },
  ends: { x: 76, y: 52 },
  frame: { x: 222, y: 46 },
  electrics: { x: 110, y: 268 },
  screen: { x: 206, y: 268 },
};

export function spots(traits: Traits): Record<string, Spot> {
  const base =
    traits.motion === 'delta'
      ? delta
      : traits.motion === 'corexy' || traits.motion === 'gantry'
        ? box
        : traits.motion === 'cantilever'
          ? cantilever
          : slinger;
  if (traits.filament_path !== 'direct') return base;
  const head = base.head ?? { x: 148, y: 140 };
  return { ...base, drive: { x: head.x - 20, y: head.y - 22 } };
}

export interface Label extends Spot {
  code: string;
  spot: Spot;
}

/** Labels in two columns beside the drawing, in the order of the heights of what they name, so that no lines cross much. */
export function labels(
  codes: readonly string[],
  traits: Traits,
  height: number,
): { left: Label[]; right: Label[] } {
  const where = spots(traits);
  const known = codes.flatMap((code) => {
    const spot = where[code];
    return spot ? [{ code, spot }] : [];
  });
  const byX = [...known].sort((a, b) => a.spot.x - b.spot.x);
  const half = Math.ceil(byX.length / 2);
  const column = (part: typeof byX, x: number): Label[] => {
    const sorted = [...part].sort((a, b) => a.spot.y - b.spot.y);
    const step = height / Math.max(1, sorted.length);
    return sorted.map((one, i) => ({ ...one, x, y: step * (i + 0.5) }));
  };
  return { left: column(byX.slice(0, half), 0), right: column(byX.slice(half), 0) };
}
