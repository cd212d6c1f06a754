<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use OddBench\Input\InputError;

/** Takes in rows of one kind of table, some hundred at a time; says each one’s fate and, when it counts, writes it. */
interface ImportTable
{
    /**
     * @param  array<int, array<string, string>>  $rows  line => column => cell
     * @return array<int, array<string, mixed>|InputError> line => what it says, or what is wrong with it
     */
    public function read(array $rows): array;

    /**
     * @param  array<int, array<string, mixed>>  $rows  line => what it says, the sound ones
     * @return array<int, RowFate> line =>
     */
    public function fates(array $rows): array;

    /** @param  array<int, array<string, mixed>>  $rows  those whose fate is not wrong */
    public function write(array $rows): void;
}
