<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes Knowledge of decoded knowledge files; collects every mistake and refuses the lot when there is one. */
final class KnowledgeReader
{
    /** @var array{float, list<string>} */
    private array $usuallyTold = [0.0, []];

    /** @var list<Mistake> */
    private array $mistakes = [];

    private function __construct()
    {
    }

    /**
     * @param  array<string, mixed>  $files  path below the knowledge folder => decoded content
     *
     * @throws BadKnowledge with the file, entry and field of every mistake
     */
    public static function read(array $files): Knowledge
    {
        $reader = new self;
        $sheets = new SheetReader($files);
        // what owners usually tell is asked of every finding
        $bench = $sheets->bench();
        $reader->usuallyTold = $bench->usuallyTold;
        $knowledge = new Knowledge(
            findings: $reader->each($files, 'findings.yaml', $reader->finding(...)),
            faults: $reader->byArea($files, 'faults', static fn (Entry $entry, string $area): Fault => FaultReader::read($entry, $area)),
            checks: $reader->each($files, 'checks.yaml', CheckReader::read(...)),
            proofs: $reader->proofs($files),
            families: $reader->families($files),
            safetyQuestions: $reader->each($files, 'safety.yaml', $reader->safetyQuestion(...)),
            subsystems: $sheets->names('subsystems.yaml'),
            partClasses: $sheets->names('parts.yaml'),
            hazards: $sheets->names('hazards.yaml'),
            bench: $bench,
            places: $reader->each(
                $files,
                'places.yaml',
                static fn (Entry $e): Place => new Place($e->text('code'), $e->text('name'), $e->needs(), $e->codes('findings')),
            ),
            settings: $sheets->names('settings.yaml'),
            instruments: $reader->each($files, 'instruments.yaml', InstrumentSheetReader::read(...)),
            guides: $reader->byArea($files, 'guides', static fn (Entry $entry, string $area): Guide => GuideReader::read($entry, $area)),
            wear: $reader->each(
                $files,
                'wear.yaml',
                static fn (Entry $e): Wear => new Wear(
                    $e->text('code'),
                    $e->text('place'),
                    $e->numberOrNull('life_hours'),
                    $e->yes('consumable'),
                    $e->numberOrNull('shape'),
                ),
            ),
            service: $reader->each($files, 'service.yaml', $reader->serviceItem(...)),
            stocking: $reader->each(
                $files,
                'stocking.yaml',
                static fn (Entry $e): Stocking => new Stocking(
                    $e->text('code'),
                    $e->number('service_level', 0.5, 0.9999),
                    $e->numberOrNull('shelf_life_weeks'),
                ),
            ),
            accessories: $reader->each(
                $files,
                'accessories.yaml',
                static fn (Entry $e): Accessory => new Accessory($e->text('code'), $e->text('name'), $e->needs()),
            ),
            materials: $reader->each(
                $files,
                'materials.yaml',
                static fn (Entry $e): Material => new Material(
                    $e->text('code'),
                    $e->number('density', 0.5, 8),
                    (int) $e->number('open_days', 1, 3650),
                    (int) $e->number('keeps_days', 30, 7300),
                ),
            ),
            prices: $sheets->prices(),
            alike: $sheets->alike(),
        );
        $mistakes = [...$reader->mistakes, ...$sheets->mistakes(), ...CrossCheck::of($knowledge)];
        if ($mistakes !== []) {
            throw BadKnowledge::because($mistakes);
        }

        return $knowledge;
    }

    /**
     * @template T of object
     *
     * @param  array<string, mixed>  $files
     * @param  callable(Entry): T  $make
     * @return array<string, T> by code
     */
    private function each(array $files, string $file, callable $make): array
    {
        $list = $files[$file] ?? null;
        if (! is_array($list) || ! array_is_list($list)) {
            $this->mistakes[] = new Mistake($file, '-', 'file', 'must hold a list of entries');

            return [];
        }

        return $this->entries($file, $list, $make);
    }

    /**
     * @template T of object
     *
     * @param  list<mixed>  $list
     * @param  callable(Entry): T  $make
     * @return array<string, T> by code
     */
    private function entries(string $file, array $list, callable $make): array
    {
        $made = [];
        foreach ($list as $i => $fields) {
            $code = is_array($fields) && is_string($fields['code'] ?? null) ? $fields['code'] : '#'.($i + 1);
            $entry = Entry::of($file, $code, $fields);
            $thing = $make($entry);
            if (isset($made[$code])) {
                $entry->wrong('code', 'stands twice');
            }
            $made[$code] = $thing;
            array_push($this->mistakes, ...$entry->mistakes());
        }

        return $made;
    }

    private function finding(Entry $entry): Finding
    {
        [$usually, $groups] = $this->usuallyTold;
        $owners = $entry->yes('asked_at_book_in') || in_array($entry->text('group'), $groups, true);

        return new Finding(
            code: $entry->text('code'),
            name: $entry->text('name'),
            group: $entry->text('group'),
            leak: $entry->number('leak', 0.0001, 0.9, 0.02),
            circumstance: $entry->yes('circumstance'),
            askedAtBookIn: $entry->yes('asked_at_book_in'),
            redTag: $entry->yes('red_tag'),
            absent: $entry->textOrNull('absent'),
            neverWith: $entry->codes('never_with'),
            said: $entry->codes('said'),
            told: $entry->number('told', 0, 0.99, $owners ? $usually : 0.0),
        );
    }

    /**
     * Files of a folder, each holding an area and its entries.
     *
     * @template T of object
     *
     * @param  array<string, mixed>  $files
     * @param  callable(Entry, string): T  $make
     * @return array<string, T> by code
     */
    private function byArea(array $files, string $folder, callable $make): array
    {
        $made = [];
        foreach ($files as $file => $content) {
            if (! str_starts_with($file, "{$folder}/")) {
                continue;
            }
            $page = Entry::of($file, '-', $content);
            $area = $page->text('area');
            $found = $this->entries($file, $page->items($folder), static fn (Entry $entry) => $make($entry, $area));
            foreach (array_keys(array_intersect_key($found, $made)) as $code) {
                $page->wrong($code, 'stands in another file as well');
            }
            array_push($this->mistakes, ...$page->mistakes());
            $made += $found;
        }

        return $made;
    }

    private function serviceItem(Entry $entry): ServiceItem
    {
        $hours = $entry->numberOrNull('every_hours');
        $months = $entry->numberOrNull('every_months');
        if (($hours ?? 0) <= 0 && ($months ?? 0) <= 0) {
            $entry->wrong('every_hours', 'or every_months must say when it comes round');
        }

        return new ServiceItem(
            $entry->text('code'),
            $entry->text('name'),
            $entry->needs(),
            $entry->textOrNull('guide'),
            $hours,
            $months,
            $entry->number('minutes', 1, 240),
        );
    }

    /**
     * @param  array<string, mixed>  $files
     * @return array<string, Proof> in the order of their stages
     */
    private function proofs(array $files): array
    {
        $proofs = $this->each($files, 'proofs.yaml', ProofReader::read(...));
        $order = array_flip(array_map(static fn (Stage $s): string => $s->value, Stage::cases()));
        uasort($proofs, static fn (Proof $a, Proof $b): int => $order[$a->stage->value] <=> $order[$b->stage->value]);

        return $proofs;
    }

    /**
     * @param  array<string, mixed>  $files
     * @return array<string, Family>
     */
    private function families(array $files): array
    {
        $families = [];
        foreach ($files as $file => $content) {
            if (! str_starts_with($file, 'families/')) {
                continue;
            }
            $entry = Entry::of($file, is_array($content) && is_string($content['code'] ?? null) ? $content['code'] : '-', $content);
            $family = FamilyReader::read($entry);
            $families[$family->code] = $family;
            array_push($this->mistakes, ...$entry->mistakes());
        }

        return $families;
    }

    private function safetyQuestion(Entry $entry): SafetyQuestion
    {
        return new SafetyQuestion(
            $entry->text('code'),
            $entry->text('ask'),
            $entry->text('finding'),
            $entry->yes('measured'),
            $entry->codes('words'),
        );
    }
}
