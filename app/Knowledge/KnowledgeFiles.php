<?php

declare(strict_types=1);

namespace App\Knowledge;

use OddBench\Knowledge\BadKnowledge;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\KnowledgeReader;
use OddBench\Knowledge\Mistake;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads the knowledge folders; a shop's own folder overrides by file and code. */
final readonly class KnowledgeFiles
{
    /** @param  list<string>  $folders later ones override earlier ones */
    public function __construct(private array $folders)
    {
    }

    /** @throws BadKnowledge with every mistake */
    public function read(): Knowledge
    {
        $merged = [];
        foreach ($this->folders as $folder) {
            foreach ($this->decoded($folder) as $file => $content) {
                $merged[$file] = isset($merged[$file]) ? $this->override($merged[$file], $content) : $content;
            }
        }

        return KnowledgeReader::read($merged);
    }

    /** Changes when any file does. */
    public function print(): string
    {
        $print = '';
        foreach ($this->folders as $folder) {
            foreach ($this->paths($folder) as $path) {
                $print .= $path.'@'.filemtime($path).';';
            }
        }

        return sha1($print);
    }

    /** @return array<string, mixed> path below the folder => content */
    private function decoded(string $folder): array
    {
        $files = [];
        foreach ($this->paths($folder) as $path) {
            $name = substr($path, strlen($folder) + 1);
            try {
                $files[$name] = Yaml::parseFile($path);
            } catch (ParseException $e) {
                throw BadKnowledge::because([new Mistake($name, 'line '.$e->getParsedLine(), 'file', 'cannot be read: '.$e->getMessage())]);
            }
        }

        return $files;
    }

    /** @return list<string> */
    private function paths(string $folder): array
    {
        return [...(glob("{$folder}/*.yaml") ?: []), ...(glob("{$folder}/*/*.yaml") ?: [])];
    }

    private function override(mixed $base, mixed $own): mixed
    {
        if (is_array($base) && is_array($own) && isset($base['faults'], $own['faults'])) {
            return ['faults' => $this->override($base['faults'], $own['faults'])] + $own + $base;
        }
        if (! is_array($base) || ! is_array($own) || ! array_is_list($base) || ! array_is_list($own)) {
            return is_array($base) && is_array($own) ? array_replace($base, $own) : $own;
        }
        $byCode = [];
        foreach ([...$base, ...$own] as $i => $entry) {
            $byCode[is_array($entry) && is_string($entry['code'] ?? null) ? $entry['code'] : "#{$i}"] = $entry;
        }

        return array_values($byCode);
    }
}
