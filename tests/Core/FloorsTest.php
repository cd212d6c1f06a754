<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Tests\Architecture\RoomsTest;

/** The drawing of the floors in docs/architecture.md says what phpat checks, and every room stands on a floor. */
final class FloorsTest extends TestCase
{
    public function test_every_room_of_the_application_stands_on_a_floor(): void
    {
        $rooms = array_map(basename(...), glob(dirname(__DIR__, 2).'/app/*', GLOB_ONLYDIR) ?: []);

        self::assertEqualsCanonicalizing($rooms, array_keys(RoomsTest::mayUse()));
    }

    public function test_the_drawing_is_true_to_the_list(): void
    {
        preg_match('/^    screens .+?(?=\n\n)/ms', (string) file_get_contents(dirname(__DIR__, 2).'/docs/architecture.md'), $drawing);
        $floors = [];
        $floor = '';
        foreach (explode("\n", $drawing[0] ?? '') as $line) {
            if (preg_match('/^ {4}(screens|   \d)  /', $line, $name) === 1) {
                $floor = trim($name[1]);
                $line = substr($line, strlen($name[0]));
            }
            foreach (preg_split('/ {3,}/', trim($line)) ?: [] as $said) {
                [$room, $beside] = [...explode(' → ', trim($said), 2), ''];
                $floors[$floor][$room] = $beside === '' ? [] : explode(', ', $beside);
            }
        }
        $list = [];
        foreach (RoomsTest::FLOORS as $i => $rooms) {
            $list[$i === count(RoomsTest::FLOORS) - 1 ? 'screens' : (string) $i] = $rooms;
        }

        self::assertEquals($list, $floors);
    }
}
