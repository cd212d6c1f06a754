/** What each trait of a family is called. */
export const traitNames: Record<string, string> = {
  motion: 'How it moves',
  guides: 'Runs on',
  filament_path: 'Filament path',
  hotend: 'Hot end',
  nozzle_mount: 'Nozzle',
  bed_mount: 'Bed stands on',
  bed_supply: 'Bed is heated by',
  bed_surface: 'Print surface',
  z_drive: 'Z is driven by',
  levelling: 'Levelling',
  feeder: 'Feeder',
  chamber: 'Chamber',
  extruder_gears: 'Extruder gears',
  material_supply: 'Material comes from',
};
