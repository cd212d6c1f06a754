<?php

declare(strict_types=1);

namespace App\Shop\Security;

use App\Shop\Ability;
use Illuminate\Support\Facades\Gate;

final class SecurityController
{
    private const PAGE = 100;

    public function index(ListSecurityRequest $request): SecurityView
    {
        Gate::authorize(Ability::RunShop);
        $found = SecurityEvent::query()->with('person')
            ->when($request->wholeOrNull('before'), static fn ($q, int $id) => $q->where('id', '<', $id))
            ->when($request->words('only') === 'refused', static fn ($q) => $q->where('status', '>=', 400))
            ->orderByDesc('id')
            ->limit(self::PAGE + 1)
            ->get();
        $page = $found->take(self::PAGE);

        return new SecurityView(
            array_values($page->map(SecurityLine::of(...))->all()),
            $found->count() > self::PAGE ? $page->last()?->id : null,
        );
    }
}
