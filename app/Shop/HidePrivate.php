<?php

declare(strict_types=1);

namespace App\Shop;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/**
 * Whoever only looks sees neither how owners are reached, nor the key of their pages, nor what anything costs: such figures and words
 * are null in every answer.
 */
final class HidePrivate
{
    private const CONTACTS = ['ownerContact', 'contact', 'ownerId', 'ownersPage'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if ($response instanceof JsonResponse && Auth::check() && Gate::denies(Ability::SeeOwners)) {
            $data = $response->getData(true);
            $response->setData(is_array($data) ? self::without($data) : $data);
        }

        return $response;
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    private static function without(array $data): array
    {
        foreach ($data as $key => $value) {
            if (is_string($key) && (str_ends_with($key, 'Minor') || in_array($key, self::CONTACTS, true))) {
                $data[$key] = null;
            } elseif (is_array($value)) {
                $data[$key] = self::without($value);
            }
        }

        return $data;
    }
}
