<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/** The invented people, owners, machines and words of the demo shop. */
final class DemoCast
{
    /** owner => contact */
    public const OWNERS = [
        'Lantern Theatre, prop shop' => 'props desk, side door',
        'Tidewater Nursery' => 'greenhouse 2, Maren',
        'Quayside Sailing School' => 'boat shed, Piet',
        'Ines Halloran' => 'evenings',
        'R. Sedgemoor' => 'leave word at the bakery',
        'Mo Tillery' => 'mornings',
        'Greta Vance' => 'lock 4',
        'Uncle Fenn' => 'comes by on Fridays',
    ];

    /** family, how many, who holds them (owner name, farm or resale) */
    public const MACHINES = [
        ['tern-220', 9, 'Tidewater Nursery'], ['tern-220', 4, 'Lantern Theatre, prop shop'], ['tern-220', 4, 'farm'], ['tern-220', 2, 'Mo Tillery'], ['tern-220', 2, 'resale'],
        ['tern-220-d', 5, 'Tidewater Nursery'], ['tern-220-d', 2, 'Quayside Sailing School'], ['tern-220-d', 2, 'farm'], ['tern-220-d', 1, 'Greta Vance'],
        ['heron-cx', 5, 'Tidewater Nursery'], ['heron-cx', 2, 'Lantern Theatre, prop shop'], ['heron-cx', 2, 'farm'], ['heron-cx', 1, 'resale'],
        ['wren-mini', 3, 'Quayside Sailing School'], ['wren-mini', 2, 'Ines Halloran'], ['wren-mini', 2, 'resale'],
        ['gannet-delta', 2, 'Lantern Theatre, prop shop'], ['gannet-delta', 1, 'Uncle Fenn'],
        ['bittern-ht', 2, 'Quayside Sailing School'], ['bittern-ht', 1, 'R. Sedgemoor'],
        ['shearwater-300', 4, 'Tidewater Nursery'], ['shearwater-300', 1, 'farm'], ['shearwater-300', 1, 'resale'],
    ];

    /** How customers say a finding. */
    public const WORDS = [
        'jams-when-warm' => 'stops feeding after a while',
        'gear-clicks' => 'it clicks',
        'nothing-comes-out' => 'nothing comes out any more',
        'thin-extrusion' => 'the prints are all thin and holey',
        'first-layer-wispy' => 'the first layer is like cobweb',
        'first-layer-dug-in' => 'it scrapes the plate',
        'first-layer-uneven' => 'one corner is good, the other is not',
        'sticks-in-patches' => 'it sticks here and not there',
        'part-came-loose' => 'the part came off in the night',
        'layers-shifted' => 'the print walked sideways half way up',
        'walls-rippled' => 'the walls look like corduroy',
        'bump-repeats' => 'there is a bump every few centimetres',
        'error-thermistor' => 'it shows a temperature error',
        'error-heating' => 'says heating failed',
        'error-homing' => 'will not home',
        'hotend-cold' => 'the nozzle stays cold',
        'bed-cold' => 'the bed stays cold',
        'bed-slow' => 'the bed takes forever',
        'stops-mid-print' => 'just stands still in the middle of a print',
        'dead-no-lights' => 'dead, not a light on it',
        'strings' => 'hairy prints, strings everywhere',
        'pops-steam' => 'it spits and pops',
        'burn-smell' => 'it smells burnt',
        'smoke' => 'there was smoke',
        'fan-noisy' => 'it howls',
        'blob-on-hotend' => 'there is a lump of plastic round the nozzle',
        'slot-spins-nothing' => 'the slot turns and turns and nothing arrives',
        'test-piece-stops' => 'one slot does not let anything through',
        'restarts-itself' => 'it starts again by itself',
        'ghosting' => 'shadows behind every corner',
        'wont-unload' => 'will not let go of the filament',
        'wont-load' => 'will not take the filament',
        'overhangs-droop' => 'overhangs hang down',
        'corners-lift' => 'the corners curl up',
        'level-drifts' => 'I level it and two prints later it is off again',
        'screen-dead' => 'the screen is dark',
        'size-off' => 'nothing fits together any more',
    ];

    /** part class => variants: name, bin, unit cost in minor units, how many to keep */
    public const PARTS = [
        'nozzle' => [['Nozzle 0.4 brass', 'A1', 180, 24], ['Nozzle 0.4 hardened', 'A1', 890, 8], ['Nozzle 0.6 brass', 'A2', 190, 10], ['Nozzle 0.8 brass', 'A2', 210, 4], ['Heron one-piece nozzle module', 'A3', 2900, 4], ['Bittern one-piece nozzle module', 'A3', 3900, 2]],
        'sock' => [['Silicone sock, square block', 'A4', 90, 20], ['Silicone sock, Heron', 'A4', 220, 6], ['Silicone sock, Bittern', 'A4', 260, 3]],
        'liner' => [['Liner 4/2 mm, 60 mm', 'C4', 120, 18], ['Liner 4/2 mm by the metre', 'C4', 310, 6], ['Low-friction tube 4/2 mm', 'C5', 640, 4]],
        'tube-fitting' => [['Tube fitting M6', 'C2', 110, 16], ['Tube fitting M10', 'C2', 130, 12], ['Collar clip', 'C2', 15, 40], ['Push-in coupler, Heron', 'C3', 240, 6]],
        'thermistor' => [['Thermistor, glass bead', 'B1', 160, 14], ['Thermistor, cartridge', 'B1', 420, 8], ['Bed thermistor, taped', 'B2', 180, 6], ['Sensor Pt1000, Bittern', 'B2', 990, 2]],
        'heater-cartridge' => [['Heater cartridge 24 V 40 W', 'B3', 480, 10], ['Heater cartridge 24 V 50 W', 'B3', 520, 6], ['Heater cartridge 24 V 60 W', 'B3', 640, 3]],
        'heat-break' => [['Heat break, lined', 'A5', 390, 6], ['Heat break, all-metal', 'A5', 890, 4]],
        'heat-break-fan' => [['Fan 30 × 10, 24 V', 'D1', 340, 14], ['Fan 40 × 10, 24 V', 'D1', 360, 10], ['Fan 25 × 10, Heron', 'D2', 520, 5]],
        'part-fan' => [['Blower 4010, 24 V', 'D2', 380, 8], ['Blower 5015, 24 V', 'D3', 430, 8]],
        'board-fan' => [['Fan 40 × 20, 24 V', 'D3', 450, 6], ['Fan 60 × 15, 24 V', 'D4', 520, 3]],
        'drive-gear' => [['Drive gear, brass 26 teeth', 'C1', 260, 8], ['Drive gear pair, hardened', 'C1', 1450, 4], ['Drive gears, Heron', 'C1', 1290, 3]],
        'idler-arm' => [['Idler arm and spring, metal', 'C6', 690, 5], ['Extruder spring', 'C6', 45, 20]],
        'belt' => [['Belt 2 mm, 6 mm wide, 1 m', 'E1', 190, 12], ['Belt 2 mm, 9 mm wide, 1 m', 'E1', 260, 6], ['Belt loop, Gannet', 'E1', 540, 3]],
        'idler' => [['Idler, smooth 5 mm bore', 'E2', 240, 10], ['Idler, toothed 5 mm bore', 'E2', 260, 10], ['Idler, toothed 3 mm bore', 'E2', 250, 6]],
        'wheel-set' => [['Wheels, set of four', 'E3', 720, 8], ['Wheels, set of twelve', 'E3', 1900, 3], ['Eccentric nut', 'E3', 60, 16]],
        'spacer' => [['Wheel spacer 6 mm', 'E4', 12, 60]],
        'rail' => [['Rail profile, Tern Y', 'R1', 1650, 4], ['Rail profile, Wren X', 'R1', 1490, 2], ['End cap', 'E4', 25, 20]],
        'linear-bearing' => [['Linear bearing 8 mm', 'E5', 210, 24], ['Linear bearing 10 mm', 'E5', 290, 12], ['Rail carriage', 'E6', 1690, 3]],
        'rod' => [['Rod 8 × 400', 'R2', 690, 4], ['Rod 10 × 450', 'R2', 940, 3]],
        'delta-arms' => [['Arms and joints, Gannet, six', 'R3', 3400, 1]],
        'bed-spring' => [['Bed spring, stiff', 'F1', 35, 24], ['Silicone bed mount', 'F1', 90, 12]],
        'locking-nut' => [['Locking nut M4', 'F2', 6, 80], ['Locking nut M3', 'F2', 5, 120]],
        'insulating-washer' => [['Insulating washer M3', 'F2', 8, 60]],
        'washer' => [['Washer M3', 'F2', 2, 200], ['Washer M5', 'F2', 3, 100]],
        'print-surface' => [['Spring sheet, textured 235', 'F4', 1450, 4], ['Spring sheet, smooth 235', 'F4', 1350, 3], ['Glass plate 235', 'F5', 990, 2], ['Sheet, Heron 256', 'F5', 2100, 2], ['Sheet, Wren 180', 'F5', 1100, 2]],
        'bed-plate' => [['Bed plate, Tern', 'F6', 1900, 1]],
        'bed-heater' => [['Heated bed 24 V, Tern', 'F6', 3200, 1], ['Heated bed 24 V, Shearwater', 'F6', 5400, 1]],
        'bed-loom' => [['Bed wires 1.5 mm², 60 cm', 'B5', 420, 6]],
        'bed-connector' => [['Bed plug, both halves', 'B5', 310, 6]],
        'terminal' => [['Screw terminal 5 mm', 'B6', 60, 12], ['Ferrules, box', 'B6', 390, 2]],
        'loom' => [['Loom, Tern head', 'B4', 1250, 3], ['Loom, Shearwater head', 'B4', 1450, 2], ['Braided sleeve by the metre', 'B4', 120, 6]],
        'motor-lead' => [['Motor lead 90 cm', 'B4', 190, 8]],
        'endstop' => [['End switch with lead', 'G1', 160, 8]],
        'probe' => [['Probe pin and body', 'G1', 1650, 3], ['Nozzle probe strip, Heron', 'G1', 1900, 2]],
        'runout-sensor' => [['Run-out sensor', 'G1', 480, 4]],
        'board' => [['Main board, Tern', 'G2', 3600, 2], ['Main board, Wren', 'G2', 3100, 1], ['Main board, Shearwater', 'G2', 4900, 1]],
        'power-supply' => [['Supply 24 V 350 W', 'G3', 2900, 2], ['Supply 24 V 150 W', 'G3', 1900, 1]],
        'mains-cord' => [['Mains cord with earth', 'G3', 340, 5]],
        'socket' => [['Board socket, two pins', 'B6', 25, 20]],
        'screen-cable' => [['Screen ribbon', 'G4', 210, 4]],
        'memory-card' => [['Memory card 8 GB', 'G4', 420, 8]],
        'feeder-wheels' => [['Feeder wheels, Quad', 'H1', 640, 4]],
        'cutter-blade' => [['Cutter blade, Quad', 'H1', 290, 6]],
        'feeder-hub' => [['Feeder hub, Quad', 'H1', 1900, 1]],
        'grease' => [['Grease, tube', 'H2', 480, 3], ['Light oil', 'H2', 390, 2]],
        'paste' => [['Heat paste', 'H2', 350, 2], ['Boron nitride paste', 'H2', 1290, 1]],
        'desiccant' => [['Desiccant bag', 'H3', 40, 40], ['Desiccant, can', 'H3', 790, 2]],
        'cleaning' => [['Isopropyl alcohol, litre', 'H4', 690, 4], ['Lint-free wipes', 'H4', 320, 6], ['Dish soap', 'H4', 180, 2], ['Brass brush', 'H4', 210, 4]],
    ];
}
