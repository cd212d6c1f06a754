<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Machines\Machine;
use App\Shop\Ability;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use OddBench\Input\InputError;

final readonly class OwnerController
{
    private const MOST = 50;

    public function __construct(private AllTold $told)
    {
    }

    public function index(ListOwnersRequest $request): OwnersView
    {
        Gate::authorize(Ability::SeeOwners);
        $text = $request->words('text');
        $query = Owner::known()->when($text, static function ($q, string $text): void {
            $like = '%'.addcslashes(mb_strtolower($text), '%_\\').'%';
            $q->where(static fn ($q) => $q->whereRaw('lower(name) LIKE ?', [$like])->orWhereRaw('lower(contact) LIKE ?', [$like]));
        });

        return new OwnersView(
            array_values((clone $query)->withCount('machines')->orderByRaw('lower(name), id')->limit(self::MOST)->get()
                ->map(static fn (Owner $owner): OwnerLine => new OwnerLine(
                    $owner->id,
                    $owner->name,
                    $owner->company,
                    $owner->contact,
                    (int) $owner->getAttribute('machines_count'),
                ))->all()),
            $query->count(),
        );
    }

    public function show(int $owner): OwnerView
    {
        Gate::authorize(Ability::SeeOwners);

        return $this->view(Owner::query()->findOrFail($owner));
    }

    public function update(int $owner, OwnerRequest $request): OwnerView
    {
        Gate::authorize(Ability::Edit);
        $found = $this->alive($owner);
        $found->update([
            'name' => $request->string('name')->trim()->toString(),
            'company' => $request->boolean('company'),
            'contact' => $request->words('contact'),
            'address' => $request->words('address'),
            'notes' => $request->words('notes'),
        ]);

        return $this->view($found);
    }

    public function merge(int $owner, MergeRequest $request, MergeOwners $merge): OwnerView
    {
        Gate::authorize(Ability::Edit);

        return $this->view($merge->merge($this->alive($owner), $request->integer('into')));
    }

    public function erase(int $owner, EraseOwner $erase): OwnerView
    {
        Gate::authorize(Ability::RunShop);

        return $this->view($erase->erase($this->alive($owner)));
    }

    /** Everything that is kept of an owner, in a form any program reads: for whoever asks what is known of them. */
    public function export(int $owner): JsonResponse
    {
        Gate::authorize(Ability::RunShop);
        $found = Owner::query()->findOrFail($owner);
        $all = [
            'owner' => [
                'number' => $found->id,
                'name' => $found->name,
                'company' => $found->company,
                'contact' => $found->contact,
                'address' => $found->address,
                'notes' => $found->notes,
                'known_since' => $found->created_at->toIso8601String(),
            ],
            'machines' => $found->machines()->orderBy('tag')->get()->map(static fn (Machine $machine): array => [
                'tag' => $machine->tag,
                'family' => $machine->family,
                'serial' => $machine->serial,
                'place' => $machine->place,
                'notes' => $machine->notes,
                'known_since' => $machine->created_at->toIso8601String(),
            ])->all(),
        ];

        return new JsonResponse([...$all, ...$this->told->keeps($found)], 200, [
            'Content-Disposition' => "attachment; filename=\"owner-{$found->id}.json\"",
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @throws InputError when it was merged or erased */
    private function alive(int $owner): Owner
    {
        return Owner::known()->find($owner) ?? throw InputError::at(
            'owner',
            'This owner was merged with another, or erased: nothing is changed there any more.',
        );
    }

    private function view(Owner $owner): OwnerView
    {
        return OwnerView::of($owner, $this->told->told($owner));
    }
}
