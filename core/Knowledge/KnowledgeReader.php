<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes Knowledge of decoded knowledge files; collects every mistake and refuses the lot when there is one. */
final class KnowledgeReader
{
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
        $knowledge = new Knowledge(
            findings: $reader->each($files, 'findings.yaml', $reader->finding(...)),
            faults: $reader->faults($files),
            checks: $reader->each($files, 'checks.yaml', $reader->check(...)),
            proofs: $reader->proofs($files),
            families: $reader->families($files),
            safetyQuestions: $reader->each($files, 'safety.yaml', $reader->safetyQuestion(...)),
            subsystems: $reader->names($files, 'subsystems.yaml'),
            partClasses: $reader->names($files, 'parts.yaml'),
            hazards: $reader->names($files, 'hazards.yaml'),
            bench: $reader->bench($files),
            places: $reader->each($files, 'places.yaml', static fn (Entry $e): Place => new Place($e->text('code'), $e->text('name'), $e->needs(), $e->codes('findings'))),
            settings: $reader->names($files, 'settings.yaml'),
        );
        $mistakes = [...$reader->mistakes, ...CrossCheck::of($knowledge)];
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
        );
    }

    /**
     * @param  array<string, mixed>  $files
     * @return array<string, Fault>
     */
    private function faults(array $files): array
    {
        $faults = [];
        foreach ($files as $file => $content) {
            if (! str_starts_with($file, 'faults/')) {
                continue;
            }
            $page = Entry::of($file, '-', $content);
            $area = $page->text('area');
            $found = $this->entries($file, $page->items('faults'), fn (Entry $entry): Fault => $this->fault($entry, $area));
            foreach (array_keys(array_intersect_key($found, $faults)) as $code) {
                $page->wrong($code, 'stands in another file as well');
            }
            array_push($this->mistakes, ...$page->mistakes());
            $faults += $found;
        }

        return $faults;
    }

    private function fault(Entry $entry, string $area): Fault
    {
        $shows = [];
        foreach ($entry->map('shows') as $finding => $strength) {
            $probability = Strength::read($strength);
            if ($probability === null) {
                $entry->wrong("shows.{$finding}", 'must be A, O, S or R, or a strength above 0 and up to 1');
            } else {
                $shows[$finding] = $probability;
            }
        }

        return new Fault(
            code: $entry->text('code'),
            name: $entry->text('name'),
            area: $area,
            rate: $entry->number('rate', 0.1, 400),
            needs: $entry->needs(),
            shows: $shows,
            means: $entry->text('means'),
            settle: $entry->textOrNull('settle'),
            mends: $this->mends($entry),
            danger: $entry->yes('danger'),
            behind: $entry->codes('behind'),
            brings: $entry->codes('brings'),
            cautions: $entry->codes('cautions'),
            sisters: $this->sisters($entry),
        );
    }

    private function sisters(Entry $entry): ?Sisters
    {
        if ($entry->map('sisters') === []) {
            return null;
        }
        $of = Entry::of($entry->file, "{$entry->name}.sisters", $entry->map('sisters'));
        $kind = $of->text('kind');
        if ($kind !== 'mounting' && $kind !== 'batch') {
            $of->wrong('kind', 'must be mounting or batch');
            $kind = 'batch';
        }
        $sisters = new Sisters($kind, $of->text('look'), $of->textOrNull('part'), $of->text('because'));
        array_push($this->mistakes, ...$of->mistakes());

        return $sisters;
    }

    /** @return non-empty-list<Mend> */
    private function mends(Entry $entry): array
    {
        $ways = $entry->items('mends');
        $mends = [];
        foreach ($ways as $i => $way) {
            $mend = Entry::of($entry->file, sprintf('%s.mends.%d', $entry->name, $i + 1), $way);
            $mends[] = new Mend(count($ways) > 1 ? $mend->text('school') : $mend->textOrNull('school'), $mend->text('do'), $mend->number('minutes', 1, 600), $mend->codes('touches'), $mend->someCodes('parts'));
            array_push($this->mistakes, ...$mend->mistakes());
        }
        if ($mends === []) {
            $entry->wrong('mends', 'must name at least one way to put it right');
            $mends[] = new Mend(null, '', 1, [], []);
        }

        return $mends;
    }

    private function check(Entry $entry): Check
    {
        $state = State::tryFrom($entry->text('state'));
        if ($state === null) {
            $entry->wrong('state', 'must be cold, unplugged, open, powered or hot');
        }
        $steps = $entry->codes('steps');
        if (count($steps) < 2 || count($steps) > 5) {
            $entry->wrong('steps', 'must say in two to five steps how it is done');
        }

        return new Check(
            code: $entry->text('code'),
            name: $entry->text('name'),
            minutes: $entry->number('minutes', 0.5, 120),
            state: $state ?? State::Hot,
            supervised: $entry->yes('supervised'),
            qualified: $entry->yes('qualified'),
            apart: $entry->yes('apart'),
            byPart: $entry->yes('by_part'),
            yields: $entry->codes('yields'),
            needs: $entry->needs(),
            steps: $steps,
            hazards: $entry->someCodes('hazards'),
            takes: $entry->numberOrNull('takes'),
            instrument: $entry->textOrNull('instrument'),
            reading: $this->reading($entry),
            pictures: $entry->codes('pictures'),
            caution: $entry->textOrNull('caution'),
        );
    }

    private function reading(Entry $entry): ?Reading
    {
        if ($entry->map('reading') === []) {
            return null;
        }
        $reading = Entry::of($entry->file, "{$entry->name}.reading", $entry->map('reading'));
        $limits = [];
        foreach ($reading->map('says') as $finding => $limit) {
            $of = Entry::of($entry->file, "{$entry->name}.reading.says.{$finding}", $limit);
            $limits[$finding] = new Limit($of->numberOrNull('below'), $of->numberOrNull('above'));
            if ($limits[$finding]->below === null && $limits[$finding]->above === null) {
                $of->wrong('below', 'or above must say from which value on it is there');
            }
            array_push($this->mistakes, ...$of->mistakes());
        }
        if ($limits === []) {
            $reading->wrong('says', 'must name the findings the value stands for');
        }
        $read = new Reading($reading->text('ask'), $reading->text('unit'), $reading->number('least', -1e6, 1e6), $reading->number('most', -1e6, 1e6), $limits);
        array_push($this->mistakes, ...$reading->mistakes());

        return $read;
    }

    /**
     * @param  array<string, mixed>  $files
     * @return array<string, Proof> in the order of their stages
     */
    private function proofs(array $files): array
    {
        $proofs = $this->each($files, 'proofs.yaml', $this->proof(...));
        $order = array_flip(array_map(static fn (Stage $s): string => $s->value, Stage::cases()));
        uasort($proofs, static fn (Proof $a, Proof $b): int => $order[$a->stage->value] <=> $order[$b->stage->value]);

        return $proofs;
    }

    private function proof(Entry $entry): Proof
    {
        $stage = Stage::tryFrom($entry->text('stage'));
        if ($stage === null) {
            $entry->wrong('stage', 'must be one of '.implode(', ', array_map(static fn (Stage $s): string => $s->value, Stage::cases())));
        }
        $unit = $entry->textOrNull('unit');
        $least = $entry->numberOrNull('least');
        $most = $entry->numberOrNull('most');
        if (($unit === null) !== ($least === null && $most === null)) {
            $entry->wrong('unit', 'and a limit (least or most) go together');
        }

        return new Proof(
            code: $entry->text('code'),
            name: $entry->text('name'),
            stage: $stage ?? Stage::Long,
            how: $entry->text('how'),
            because: $entry->text('because'),
            touched: $entry->codes('touched'),
            mended: $entry->codes('mended'),
            always: $entry->yes('always'),
            needs: $entry->needs(),
            unit: $unit,
            least: $least,
            most: $most,
            failsAs: $entry->textOrNull('fails_as'),
            caution: $entry->textOrNull('caution'),
        );
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
            $family = $this->family($entry);
            $families[$family->code] = $family;
            array_push($this->mistakes, ...$entry->mistakes());
        }

        return $families;
    }

    private function family(Entry $entry): Family
    {
        $traits = [];
        foreach ($entry->map('traits') as $trait => $value) {
            if (isset(Traits::KNOWN[$trait]) && is_string($value) && in_array($value, Traits::KNOWN[$trait], true)) {
                $traits[$trait] = $value;
            } else {
                $entry->wrong("traits.{$trait}", isset(Traits::KNOWN[$trait]) ? 'must be one of '.implode(', ', Traits::KNOWN[$trait]) : 'is no trait');
            }
        }
        $positions = $this->entries($entry->file, $entry->items('positions'), static fn (Entry $p): Position => new Position($p->text('code'), $p->text('name'), $p->text('subsystem'), $p->text('part')));

        return new Family($entry->text('code'), $entry->text('name'), $entry->text('letters'), $traits, $positions);
    }

    private function safetyQuestion(Entry $entry): SafetyQuestion
    {
        return new SafetyQuestion($entry->text('code'), $entry->text('ask'), $entry->text('finding'));
    }

    /** @param  array<string, mixed>  $files */
    private function bench(array $files): BenchFigures
    {
        $entry = Entry::of('bench.yaml', '-', $files['bench.yaml'] ?? null);
        $figures = new BenchFigures(
            reach: $this->minutes($entry, 'minutes_to_reach', State::cases()),
            prove: $this->minutes($entry, 'minutes_to_prove', Stage::cases()),
            comeback: $entry->number('comeback_minutes', 0, 1000),
            redTagFrom: $entry->number('red_tag_from', 0.01, 1),
            catalogueJobs: $entry->number('catalogue_jobs', 1, 10_000),
        );
        array_push($this->mistakes, ...$entry->mistakes());

        return $figures;
    }

    /**
     * @param  list<\BackedEnum>  $cases
     * @return array<string, float>
     */
    private function minutes(Entry $page, string $field, array $cases): array
    {
        $entry = Entry::of($page->file, $field, $page->map($field));
        $minutes = [];
        foreach ($cases as $case) {
            $minutes[(string) $case->value] = $entry->number((string) $case->value, 0, 240);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $minutes;
    }

    /**
     * @param  array<string, mixed>  $files
     * @return array<string, string>
     */
    private function names(array $files, string $file): array
    {
        $entry = Entry::of($file, '-', $files[$file] ?? null);
        $names = [];
        foreach (array_keys(is_array($files[$file] ?? null) ? $files[$file] : []) as $code) {
            $names[(string) $code] = $entry->text((string) $code);
        }
        array_push($this->mistakes, ...$entry->mistakes());

        return $names;
    }
}
