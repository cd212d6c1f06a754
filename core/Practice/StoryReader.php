<?php

declare(strict_types=1);

namespace OddBench\Practice;

use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Entry;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Mistake;
use OddBench\Knowledge\Traits;

/** Makes stories of the decoded files for practice; every code in them must exist, every look must be possible. */
final class StoryReader
{
    /** @var list<Mistake> */
    private array $mistakes = [];

    private function __construct(private readonly Knowledge $knowledge, private readonly string $file)
    {
    }

    /**
     * @return array<string, Story> by code
     *
     * @throws BadKnowledge with file, entry and field of every mistake
     */
    public static function read(Knowledge $knowledge, string $file, mixed $content): array
    {
        $reader = new self($knowledge, $file);
        $stories = [];
        foreach (is_array($content) ? array_values($content) : [] as $i => $fields) {
            $entry = Entry::of($file, is_array($fields) && is_string($fields['code'] ?? null) ? $fields['code'] : '#'.($i + 1), $fields);
            $story = $reader->story($entry);
            if (isset($stories[$story->code])) {
                $entry->wrong('code', 'stands twice');
            }
            $stories[$story->code] = $story;
            array_push($reader->mistakes, ...$entry->mistakes());
        }
        if ($reader->mistakes !== []) {
            throw BadKnowledge::because($reader->mistakes);
        }

        return $stories;
    }

    /**
     * The order of a checklist on paper: check codes, each once.
     *
     * @return list<string>
     *
     * @throws BadKnowledge
     */
    public static function checklist(Knowledge $knowledge, string $file, mixed $content): array
    {
        $entry = Entry::of($file, 'order', ['order' => $content]);
        $order = $entry->codes('order');
        foreach (array_diff($order, array_keys($knowledge->checks)) as $code) {
            $entry->wrong($code, 'is no check');
        }
        if ($entry->mistakes() !== []) {
            throw BadKnowledge::because($entry->mistakes());
        }

        return $order;
    }

    private function story(Entry $entry): Story
    {
        $family = $entry->text('family');
        $truth = $entry->codes('truth');
        $either = $entry->codes('either');
        $mended = $entry->codes('mended');
        $first = $entry->textOrNull('first');
        $told = $entry->codes('told');
        $not = $entry->codes('not');
        $looks = $this->looks($entry, $family);
        foreach ([...$truth, ...$either, ...$mended, ...($first === null ? [] : [$first])] as $fault) {
            if (! isset($this->knowledge->faults[$fault])) {
                $entry->wrong('truth', "there is no fault “{$fault}”");
            }
        }
        foreach ([...$told, ...$not] as $finding) {
            if (! isset($this->knowledge->findings[$finding])) {
                $entry->wrong('told', "there is no finding “{$finding}”");
            }
        }
        if ($truth === []) {
            $entry->wrong('truth', 'must name at least one fault');
        }

        return new Story(
            $entry->text('code'),
            $family,
            $entry->text('says'),
            $told,
            $not,
            $looks,
            $truth === [] ? [''] : $truth,
            $either,
            $first,
            $mended,
            $entry->yes('powerless'),
        );
    }

    /** @return array<string, list<string>> */
    private function looks(Entry $entry, string $family): array
    {
        if (! isset($this->knowledge->families[$family])) {
            $entry->wrong('family', "there is no “{$family}”");

            return [];
        }
        $traits = Traits::of($this->knowledge->families[$family]->traits);
        $map = $entry->map('looks');
        $looks = [];
        foreach (array_keys($map) as $code) {
            $there = Entry::of($this->file, $entry->name, $map)->codes($code);
            $check = $this->knowledge->checks[$code] ?? null;
            if ($check === null) {
                $entry->wrong("looks.{$code}", 'is no check');
            } elseif (! $traits->allow($check->needs)) {
                $entry->wrong("looks.{$code}", 'cannot be done on this family');
            } elseif (array_diff($there, $check->yields) !== []) {
                $entry->wrong("looks.{$code}", 'does not settle '.implode(', ', array_diff($there, $check->yields)));
            }
            $looks[$code] = $there;
        }

        return $looks;
    }
}
