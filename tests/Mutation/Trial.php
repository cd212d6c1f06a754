<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** One change under its tests, in a process of its own. */
final class Trial
{
    private const LONGEST_FILTER = 20_000;

    /** @var resource */
    private $process;

    private readonly float $until;

    private readonly string $file;

    /** @param  list<string>  $tests  as Class::method or Class::method#data set */
    public function __construct(string $root, string $work, Mutant $mutant, array $tests, float $mostSeconds)
    {
        $changed = $mutant->of((string) file_get_contents("{$root}/{$mutant->file}"));
        $this->file = tempnam($work, 'mutant');
        file_put_contents($this->file, $changed);
        preg_match('/^namespace ([\w\\\\]+);/m', $changed, $namespace);
        $filter = self::filter($tests);
        $paths = array_values(array_unique(array_map(
            static fn (string $test): string => $root.'/tests/'.str_replace(
                '\\',
                '/',
                substr((string) strstr($test, '::', true), 6),
            ).'.php',
            $tests,
        )));
        $this->process = proc_open(
            [
                // ended even when whoever started it is killed
                'timeout',
                '--kill-after=1',
                (string) (int) ceil($mostSeconds),
                'php',
                "{$root}/vendor/bin/phpunit",
                '--bootstrap',
                __DIR__.'/Mutated.php',
                '--do-not-cache-result',
                '--stop-on-defect',
                '--no-output',
                '--filter',
                $filter,
                ...(count($paths) === 1 ? $paths : []),
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, $root,
            ['MUTANT_CLASS' => ($namespace[1] ?? '').'\\'.basename($mutant->file, '.php'), 'MUTANT_FILE' => $this->file] + getenv(),
        ) ?: throw new \RuntimeException('PHP cannot be started');
        // later than that, so that it is not orphaned here
        $this->until = microtime(true) + $mostSeconds + 5;
    }

    /** Whether some test failed, or took far too long; null while they run. */
    public function noticed(): ?bool
    {
        $status = proc_get_status($this->process);
        if ($status['running'] && microtime(true) < $this->until) {
            return null;
        }
        if ($status['running']) {
            proc_terminate($this->process, 9);
        }
        proc_close($this->process);
        unlink($this->file);

        return $status['running'] || $status['exitcode'] !== 0;
    }

    /**
     * One expression for all of them; as long as a computer of such expressions takes, the last ones are left out.
     *
     * @param  list<string>  $tests
     */
    private static function filter(array $tests): string
    {
        $of = [];
        $length = 0;
        foreach ($tests as $test) {
            [$method, $set] = [...explode('#', $test, 2), null];
            [$class, $name] = explode('::', (string) $method);
            $of[$class][$name][] = $set;
            $length += strlen($set ?? '') + 4 + (count($of[$class]) === 1 && count($of[$class][$name]) === 1 ? strlen($class) : 0)
                + (count($of[$class][$name]) === 1 ? strlen($name) + 24 : 0);
            if ($length > self::LONGEST_FILTER) {
                break;
            }
        }
        $quote = static fn (string $text): string => preg_quote($text, '/');
        $classes = [];
        foreach ($of as $class => $methods) {
            $names = [];
            foreach ($methods as $name => $sets) {
                $named = array_filter($sets, is_string(...));
                $names[] = $name.($named === [] ? '' : ' with data set (#|")('.implode('|', array_map($quote, $named)).')"?');
            }
            $classes[] = $quote($class).'::('.implode('|', $names).')';
        }
        $filter = '/^('.implode('|', $classes).')$/';

        return preg_match($filter, '') === false ? throw new \RuntimeException('no expression: '.substr($filter, 0, 200)) : $filter;
    }
}
