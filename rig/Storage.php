<?php

declare(strict_types=1);

namespace OddBench\Rig;

/** Files on the printer’s own card. */
final class Storage
{
    /** @var array<string, list<string>> */
    private array $files = [];

    public ?string $writing = null;

    private ?string $selected = null;

    private int $at = 0;

    private int $bytes = 0;

    public bool $printing = false;

    public function write(string $line): string
    {
        $this->files[(string) $this->writing][] = $line;

        return "ok\n";
    }

    public function close(): string
    {
        $this->writing = null;

        return "Done saving file.\n";
    }

    public function command(int $code, string $rest): string
    {
        $name = strtolower($rest);

        return match ($code) {
            20 => "Begin file list\n".implode(
                '',
                array_map(fn (string $n): string => "{$n} {$this->size($n)}\n", array_keys($this->files)),
            )."End file list\n",
            23 => $this->select($name),
            24 => $this->start(),
            25 => $this->pause(),
            26 => $this->rewind(),
            27 => $this->printing && $this->selected !== null
                ? "SD printing byte {$this->bytes}/{$this->size($this->selected)}\n"
                : "Not SD printing\n",
            28 => $this->open($name),
            default => $this->delete($name),
        };
    }

    public function peek(): ?string
    {
        return $this->selected === null ? null : ($this->files[$this->selected][$this->at] ?? null);
    }

    public function next(): void
    {
        $this->bytes += strlen((string) $this->peek()) + 1;
        $this->at++;
    }

    private function size(string $name): int
    {
        return array_sum(array_map(static fn (string $line): int => strlen($line) + 1, $this->files[$name]));
    }

    private function select(string $name): string
    {
        if (! isset($this->files[$name])) {
            return "open failed, File: {$name}.\n";
        }
        $this->selected = $name;
        $this->at = $this->bytes = 0;

        return "File opened: {$name} Size: {$this->size($name)}\nFile selected\n";
    }

    private function start(): string
    {
        $this->printing = $this->selected !== null;

        return $this->printing ? '' : "echo:No file selected\n";
    }

    private function pause(): string
    {
        $this->printing = false;

        return '';
    }

    private function rewind(): string
    {
        $this->at = $this->bytes = 0;

        return '';
    }

    private function open(string $name): string
    {
        $this->writing = $name;
        $this->files[$name] = [];

        return "Writing to file: {$name}\n";
    }

    private function delete(string $name): string
    {
        unset($this->files[$name]);

        return "File deleted: {$name}\n";
    }
}
