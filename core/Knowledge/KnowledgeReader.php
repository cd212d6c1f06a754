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
            $known = is_string($strength) ? Strength::tryFrom($strength) : null;
            if ($known === null) {
                $entry->wrong("shows.{$finding}", 'must be A, O, S or R');
            } else {
                $shows[$finding] = $known;
            }
        }
        $entry->textOrNull('means');
        $entry->textOrNull('settle');
        $mend = Entry::of($entry->file, "{$entry->name}.mend", $entry->map('mend'));
        $fault = new Fault(
            code: $entry->text('code'),
            name: $entry->text('name'),
            area: $area,
            rate: $entry->number('rate', 0.1, 400),
            needs: $entry->needs(),
            shows: $shows,
            mend: new Mend($mend->text('do'), $mend->number('minutes', 1, 600), $mend->codes('touches'), $mend->codes('parts')),
            danger: $entry->yes('danger'),
            behind: $entry->codes('behind'),
            brings: $entry->codes('brings'),
            cautions: $entry->codes('cautions'),
        );
        array_push($this->mistakes, ...$mend->mistakes());

        return $fault;
    }

    private function check(Entry $entry): Check
    {
        $state = State::tryFrom($entry->text('state'));
        if ($state === null) {
            $entry->wrong('state', 'must be cold, unplugged, open, powered or hot');
        }
        $entry->textOrNull('instrument');
        $entry->numberOrNull('takes');

        return new Check(
            code: $entry->text('code'),
            name: $entry->text('name'),
            minutes: $entry->number('minutes', 0.5, 120),
            state: $state ?? State::Hot,
            supervised: $entry->yes('supervised'),
            qualified: $entry->yes('qualified'),
            apart: $entry->yes('apart'),
            yields: $entry->codes('yields'),
            needs: $entry->needs(),
            steps: $entry->codes('steps'),
            caution: $entry->textOrNull('caution'),
        );
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
