<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

/** Makes an instrument’s sheet of its entry in a knowledge file. */
final class InstrumentSheetReader
{
    /** A sheet; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): InstrumentSheet
    {
        $inputs = [];
        foreach ($entry->items('inputs') as $i => $fields) {
            $inputs[] = self::input($entry->part('inputs.'.($i + 1), $fields));
        }
        $shows = [];
        foreach ($entry->items('shows') as $i => $fields) {
            $of = $entry->part('shows.'.($i + 1), $fields);
            $shows[] = ['key' => $of->text('key'), 'label' => $of->text('label'), 'unit' => $of->words('unit')];
        }
        if ($inputs === []) {
            $entry->wrong('inputs', 'must ask for something');
        }

        return new InstrumentSheet(
            $entry->text('code'), $entry->text('name'), $entry->text('about'), $entry->someCodes('hazards'), $entry->map('fixed'),
            $inputs, $shows, self::gauge($entry), $entry->text('worked'), $entry->text('source'),
            self::keeps($entry), self::says($entry), self::baseline($entry), $entry->textOrNull('of'),
        );
    }

    private static function keeps(Entry $entry): ?Keeps
    {
        if ($entry->map('keeps') === []) {
            return null;
        }
        $of = $entry->part('keeps', $entry->map('keeps'));

        return new Keeps($of->text('key'), $of->words('unit'), $of->someCodes('positions'));
    }

    private static function baseline(Entry $entry): ?BaselineOf
    {
        if ($entry->map('baseline') === []) {
            return null;
        }
        $of = $entry->part('baseline', $entry->map('baseline'));

        return new BaselineOf($of->text('key'), $of->words('unit'), $of->textOrNull('hands'));
    }

    /** @return array<string, Meaning> */
    private static function says(Entry $entry): array
    {
        $says = [];
        foreach ($entry->map('says') as $finding => $fields) {
            $of = $entry->part("says.{$finding}", $fields);
            $key = $of->textOrNull('key');
            $limit = new Limit($of->numberOrNull('below'), $of->numberOrNull('above'));
            $meaning = new Meaning($of->codes('verdict'), $of->codes('state'), $key, $limit, $of->codes('unless'));
            if (($key === null) !== ($limit->below === null && $limit->above === null)
                || ($key === null && $meaning->verdicts === [] && $meaning->states === [])) {
                $of->wrong('key', 'with below or above, or verdict, or state must say when it is there');
            }
            $says[$finding] = $meaning;
        }

        return $says;
    }

    private static function input(Entry $of): SheetInput
    {
        $kind = $of->text('kind', 'number');
        if (! in_array($kind, SheetInput::KINDS, true)) {
            $of->wrong('kind', 'must be one of '.implode(', ', SheetInput::KINDS));
        }
        $choices = $of->codes('choices');
        if (($kind === 'choice') !== ($choices !== [])) {
            $of->wrong('choices', 'and the kind choice go together');
        }

        return new SheetInput(
            $of->text('key'),
            $of->text('label'),
            $of->words('unit'),
            $kind,
            $of->words('start'),
            $of->yes('optional'),
            $choices,
            $of->words('accept'),
        );
    }

    private static function gauge(Entry $entry): ?Gauge
    {
        if ($entry->map('gauge') === []) {
            return null;
        }
        $of = $entry->part('gauge', $entry->map('gauge'));
        $about = $of->textOrNull('about');

        return new Gauge(
            $of->text('key'),
            $of->text('label'),
            $of->words('unit'),
            $of->number('from', -1e6, 1e6),
            $of->number('to', -1e6, 1e6),
            self::zone($of, 'ok'),
            self::zone($of, 'watch'),
            $about,
            $about === null ? 0.0 : $of->number('reach', 0, 1e6),
        );
    }

    /** @return array{float, float} */
    private static function zone(Entry $of, string $field): array
    {
        $ends = $of->items($field);
        [$from, $to] = [$ends[0] ?? null, $ends[1] ?? null];
        if (count($ends) !== 2 || ! is_numeric($from) || ! is_numeric($to) || $from >= $to) {
            $of->wrong($field, 'must be two numbers, the lower one first');

            return [0.0, 1.0];
        }

        return [(float) $from, (float) $to];
    }
}
