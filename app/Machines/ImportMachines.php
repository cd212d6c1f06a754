<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\CsvRows;
use App\Machines\Owners\OwnerChoice;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Input\TableText;
use OddBench\Knowledge\Knowledge;
use OddBench\Machines\MachineRow;

/** Machines by the table: each row’s fate first, then the new ones made known, all of them or none. */
final readonly class ImportMachines
{
    private const MOST_ROWS = 5000;

    public function __construct(private Knowledge $knowledge, private RegisterMachine $register, private NoteHours $hours)
    {
    }

    /**
     * @param  bool  $apply  make the new ones known; else they are only looked at
     *
     * @throws InputError at file, when it is no such table
     */
    public function run(string $bytes, bool $apply, Person $by): MachineTableView
    {
        return DB::transaction(function () use ($bytes, $apply, $by): MachineTableView {
            // two who bring the same table in do so one after the other
            DB::select('SELECT pg_advisory_xact_lock(?)', [crc32('machines')]);
            $views = [];
            foreach ($this->fates($this->rows($bytes)) as $line => [$fate, $row, $what, $message, $tag]) {
                if ($apply && $fate === MachineFate::Fresh && $row !== null) {
                    $tag = $this->take($row, $by)->tag;
                }
                $views[] = new MachineFateView($line, $fate->value, $what, $message, $tag);
            }
            usort(
                $views,
                static fn (
                    MachineFateView $a,
                    MachineFateView $b,
                ): int => [$a->fate === 'new', $a->line] <=> [$b->fate === 'new', $b->line],
            );
            $counts = array_fill_keys(array_column(MachineFate::cases(), 'value'), 0);

            return new MachineTableView($apply, [...$counts, ...array_count_values(array_column($views, 'fate'))], $views);
        });
    }

    private function take(MachineRow $row, Person $by): Machine
    {
        $machine = $this->register->register(
            $row->family,
            $row->serial,
            $row->heldAs,
            $row->owner === null ? null : OwnerChoice::named($row->owner, $row->contact),
            null,
        );
        $machine->update(['place' => Place::usual($row->heldAs)->value]);
        if ($row->hours !== null) {
            $this->hours->note($machine, $row->hours, CounterSource::Table, $by);
        }

        return $machine;
    }

    /**
     * @param  array<int, array<string, string>>  $rows  line => column => cell
     * @return array<int, array{MachineFate, MachineRow|null, string, string, string|null}> line => fate, row, what stands there, why, tag
     */
    private function fates(array $rows): array
    {
        $fates = $seen = $read = [];
        foreach ($rows as $line => $cells) {
            try {
                $read[$line] = MachineRow::read($cells, $this->knowledge);
            } catch (InputError $e) {
                $fates[$line] = [MachineFate::Wrong, null, self::what($cells), $e->getMessage(), null];
            }
        }
        $known = $this->known(array_values(array_filter(array_map(static fn (MachineRow $row): ?string => $row->serial, $read))));
        foreach ($read as $line => $row) {
            $what = self::what($rows[$line]);
            $serial = $row->serial === null ? null : "{$row->family} {$row->serial}";
            $tag = $serial === null ? null : ($known[$serial] ?? null);
            $fates[$line] = match (true) {
                $tag !== null => [MachineFate::Known, null, $what, "It is {$tag}, known here already.", $tag],
                $serial !== null && isset($seen[$serial]) => [
                    MachineFate::Twice, null, $what, "Its serial stands in line {$seen[$serial]} already.", null,
                ],
                default => [MachineFate::Fresh, $row, $what, '', null],
            };
            if ($serial !== null) {
                $seen[$serial] ??= $line;
            }
        }

        return $fates;
    }

    /** @param  array<string, string>  $cells */
    private static function what(array $cells): string
    {
        return implode(', ', array_filter(array_intersect_key($cells, ['family' => 0, 'serial' => 0, 'owner' => 0])));
    }

    /**
     * @param  list<string>  $serials
     * @return array<string, string> family and serial => tag
     */
    private function known(array $serials): array
    {
        $known = [];
        foreach (array_chunk($serials, 1000) as $some) {
            foreach (Machine::query()->whereIn('serial', $some)->get(['family', 'serial', 'tag']) as $machine) {
                $known["{$machine->family} {$machine->serial}"] = $machine->tag;
            }
        }

        return $known;
    }

    /** @return array<int, array<string, string>> line => column => cell */
    private function rows(string $bytes): array
    {
        if (trim($bytes) === '') {
            throw InputError::at('file', 'The file is empty. It is a table as CSV, with the names of the columns in its first row.');
        }
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw InputError::at('file', 'There is no room to read it. Try again.');
        }
        fwrite($file, TableText::utf8($bytes));
        $rows = [];
        $head = null;
        foreach (CsvRows::of($file) as $line => $cells) {
            if ($head === null) {
                $head = MachineRow::head($cells);

                continue;
            }
            if (count($rows) >= self::MOST_ROWS) {
                throw InputError::at('file', sprintf('The table has more than %d rows. Bring it in in parts.', self::MOST_ROWS));
            }
            $rows[$line] = array_map(static fn (int $place): string => $cells[$place] ?? '', array_flip($head));
        }

        return $rows;
    }
}
