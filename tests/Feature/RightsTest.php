<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Routing\Route as Routed;
use Illuminate\Support\Facades\Route;
use ReflectionMethod;

/** Whoever is let in may not do everything: each write asks for a right, on the server. */
final class RightsTest extends BenchTestCase
{
    /** Writes that are about who is here, or that work something out and keep nothing. */
    private const NEEDS_NONE = [
        'POST api/v1/session',
        'POST api/v1/session/code',
        'POST api/v1/session/pin',
        'POST api/v1/session/lock',
        'PUT api/v1/session/pin',
        'POST api/v1/shop',
        'PUT api/v1/session/password',
        'DELETE api/v1/session',
        'POST api/v1/complaints',
        'POST api/v1/computations/{name}',
        'POST api/v1/instruments/{name}',
        'POST api/v1/instruments/{name}/sheet',
    ];

    public function test_every_write_asks_for_a_right(): void
    {
        $without = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['GET', 'HEAD', 'OPTIONS']) as $method) {
                $name = "{$method} {$route->uri()}";
                if (str_starts_with($route->uri(), 'api/v1/') && ! in_array($name, self::NEEDS_NONE, true) && ! $this->asks($route)) {
                    $without[] = $name;
                }
            }
        }
        self::assertSame([], $without);
    }

    private function asks(Routed $route): bool
    {
        $uses = $route->getAction('uses');
        if (! is_string($uses)) {
            // an address that is none answers that it is none
            return str_contains($route->uri(), '{any}') || $route->isFallback;
        }
        [$class, $method] = explode('@', $uses);
        $reflection = new ReflectionMethod($class, $method);
        $lines = file((string) $reflection->getFileName()) ?: [];
        $start = (int) $reflection->getStartLine();
        $body = implode('', array_slice($lines, $start - 1, (int) $reflection->getEndLine() - $start + 1));

        return preg_match('~Gate::authorize\(.*Ability::~', $body) === 1 || str_contains($body, '->signs(Ability::');
    }
}
