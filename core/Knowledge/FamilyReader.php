<?php

declare(strict_types=1);

namespace OddBench\Knowledge;

use OddBench\Repair\FastenerSize;

/** Makes a machine family of its knowledge file. */
final class FamilyReader
{
    /** A family; what is wrong with it is noted at the entry. */
    public static function read(Entry $entry): Family
    {
        $traits = [];
        foreach ($entry->map('traits') as $trait => $value) {
            if (isset(Traits::KNOWN[$trait]) && is_string($value) && in_array($value, Traits::KNOWN[$trait], true)) {
                $traits[$trait] = $value;
            } else {
                $entry->wrong(
                    "traits.{$trait}",
                    isset(Traits::KNOWN[$trait]) ? 'must be one of '.implode(', ', Traits::KNOWN[$trait]) : 'is no trait',
                );
            }
        }

        $unknown = $entry->yes('unknown');
        $build = $unknown ? null : Build::read($entry);

        return new Family(
            $entry->text('code'),
            $entry->text('name'),
            $entry->text('letters'),
            $traits,
            self::positions($entry),
            $unknown ? null : HeatFigures::read($entry),
            $build,
            self::starts($entry) + ($build?->starts() ?? []),
            self::fasteners($entry),
            self::sockets($entry),
            self::service($entry),
        );
    }

    /** @return array<string, string> */
    private static function starts(Entry $entry): array
    {
        $starts = $entry->map('starts');
        $of = $entry->part('starts', $starts);

        return array_combine(array_keys($starts), array_map($of->words(...), array_keys($starts)));
    }

    /** @return array<string, Position> by code */
    private static function positions(Entry $entry): array
    {
        $positions = [];
        foreach ($entry->items('positions') as $i => $fields) {
            $code = is_array($fields) && is_string($fields['code'] ?? null) ? $fields['code'] : '#'.($i + 1);
            $of = $entry->part("positions.{$code}", $fields);
            if (isset($positions[$code])) {
                $of->wrong('code', 'stands twice');
            }
            $positions[$code] = new Position(
                $of->text('code'),
                $of->text('name'),
                $of->text('subsystem'),
                $of->text('part'),
                (int) $of->number('faces', 1, 4, 1),
                $of->numberOrNull('life_hours'),
                (int) $of->number('count', 1, 40, 1),
            );
        }

        return $positions;
    }

    /** @return list<string> one spelling of each size */
    private static function fasteners(Entry $entry): array
    {
        $sizes = [];
        foreach ($entry->codes('fasteners') as $i => $text) {
            $size = FastenerSize::read($text);
            if ($size === null) {
                $entry->wrong("fasteners.{$i}", "“{$text}” cannot be read as a size");
            } else {
                $sizes[] = $size->name;
            }
        }

        return $sizes;
    }

    /** @return array<string, string> name => subsystem */
    private static function sockets(Entry $entry): array
    {
        $of = $entry->part('sockets', $entry->map('sockets'));
        $sockets = [];
        foreach (array_keys($entry->map('sockets')) as $name) {
            $sockets[(string) $name] = $of->text((string) $name);
        }

        return $sockets;
    }

    /** @return array<string, array{hours: float|null, months: float|null}> item => its own rhythm */
    private static function service(Entry $entry): array
    {
        $service = [];
        foreach ($entry->map('service') as $item => $fields) {
            $of = $entry->part("service.{$item}", $fields);
            $service[$item] = ['hours' => $of->numberOrNull('every_hours'), 'months' => $of->numberOrNull('every_months')];
            if (($service[$item]['hours'] ?? 1) <= 0 || ($service[$item]['months'] ?? 1) <= 0 || array_filter($service[$item]) === []) {
                $of->wrong('every_hours', 'or every_months must be over 0');
            }
        }

        return $service;
    }
}
