<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

final class DemoShop { public function play(callable $say): void {} }
