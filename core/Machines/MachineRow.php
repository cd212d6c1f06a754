<?php

declare(strict_types=1);

namespace OddBench\Machines;

use OddBench\Input\Cells;
use OddBench\Input\InputError;
use OddBench\Input\TableHead;
use OddBench\Knowledge\Knowledge;
use OddBench\Units\Quantity;

/** A machine as a table of machines names it. */
final readonly class MachineRow
{
    /** column => whether it must be there */
    public const COLUMNS = [
        'family' => true,
        'serial' => false,
        'held_as' => false,
        'owner' => false,
        'contact' => false,
        'hours' => false,
    ];

    /** columns that are written out for people to read and are not read back */
    public const READ_ONLY = ['tag', 'family_name', 'place', 'hours_read_at', 'known_since'];

    private const HELD_AS = ['farm', 'owner', 'resale'];

    /**
     * @param  string  $family  code
     * @param  'farm'|'owner'|'resale'  $heldAs
     * @param  string|null  $owner  of an owner’s machine
     * @param  float|null  $hours  as its counter shows
     */
    private function __construct(
        public string $family,
        public ?string $serial,
        public string $heldAs,
        public ?string $owner,
        public ?string $contact,
        public ?float $hours,
    ) {
    }

    /**
     * @param  list<string>  $head  the first row
     * @return array<int, string> place => column, those that are read
     *
     * @throws InputError for a column that is not known, twice there or missing
     */
    public static function head(array $head): array
    {
        return TableHead::read(self::COLUMNS, self::READ_ONLY, 'a table of machines', $head);
    }

    /**
     * @param  array<string, string>  $cells  column => what stands there
     *
     * @throws InputError at the column that is wrong
     */
    public static function read(array $cells, Knowledge $knowledge): self
    {
        $row = new Cells($cells);
        $owner = $row->textOrNull('owner', 160);
        $heldAs = mb_strtolower($row->textOrNull('held_as', 20) ?? ($owner === null ? 'farm' : 'owner'));
        $heldAs = match ($heldAs) {
            'farm', 'owner', 'resale' => $heldAs,
            default => throw InputError::unknown('held_as', 'way to hold a machine', $heldAs, self::HELD_AS),
        };
        if (($heldAs === 'owner') !== ($owner !== null)) {
            throw InputError::at(
                'owner',
                $heldAs === 'owner' ? 'Whose machine is it? An owner’s machine has an owner.' : "A machine held as {$heldAs} has no owner.",
            );
        }
        $contact = $row->textOrNull('contact', 200);
        if ($contact !== null && $owner === null) {
            throw InputError::at('contact', 'A contact goes with an owner.');
        }

        return new self(
            self::family($row->text('family', 80), $knowledge),
            $row->textOrNull('serial', 80),
            $heldAs,
            $owner,
            $contact,
            $row->figureOrNull('hours', ...array_slice(Quantity::MachineHours->bounds(), 0, 2)),
        );
    }

    /** By its code or its name. */
    private static function family(string $said, Knowledge $knowledge): string
    {
        foreach ($knowledge->families as $family) {
            if (in_array(mb_strtolower($said), [mb_strtolower($family->code), mb_strtolower($family->name)], true)) {
                return $family->code;
            }
        }

        throw InputError::unknown('family', 'family', $said, [
            ...array_keys($knowledge->families),
            ...array_values(array_map(static fn ($family): string => $family->name, $knowledge->families)),
        ]);
    }
}
