<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Photograph;
use App\Machines\Owners\Owner;
use App\Machines\Owners\OwnerChoice;
use App\Machines\RegisterMachine;
use App\Shop\Role;
use Illuminate\Testing\TestResponse;

/** Owners are people and companies of their own: two of one name stay two, and what is known of them is theirs to ask for. */
final class OwnersTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->person(Role::Lead));
    }

    public function test_two_of_the_same_name_stay_two_until_somebody_says_they_are_one(): void
    {
        $this->add(['ownerName' => 'Nora Quist', 'ownerContact' => '0170 1'])->assertOk();
        $this->assertRefused($this->add(['ownerName' => 'nora quist', 'ownerContact' => '0170 2']), 422, 'ownerName', '0170 1');
        $this->add(['ownerName' => 'Nora Quist', 'ownerContact' => '0170 2', 'ownerIsAnother' => true])->assertOk();
        $owners = $this->getJson('/api/v1/owners?text=quist')->assertOk();
        self::assertSame(['0170 1', '0170 2'], $owners->json('owners.*.contact'));
        [$first, $second] = (array) $owners->json('owners.*.id');
        $this->add(['ownerId' => $second])->assertOk();

        $this->assertRefused($this->send('POST', "/owners/{$first}/merge", ['into' => $first]), 422, 'into', 'the same one');
        $this->send('POST', "/owners/{$first}/merge", ['into' => $second])
            ->assertOk()
            ->assertJsonCount(3, 'machines')
            ->assertJsonPath('contact', '0170 2');
        $this->getJson('/api/v1/owners')->assertJsonPath('all', 1);
        $this->assertRefused($this->add(['ownerId' => $first]), 422, 'ownerId', 'not here any more');
        $this->getJson("/api/v1/owners/{$first}")->assertOk()->assertJsonPath('mergedInto', $second);
    }

    public function test_in_a_table_one_name_is_one_owner_where_nothing_says_otherwise(): void
    {
        $register = $this->app->make(RegisterMachine::class);
        $named = fn (?string $contact): ?int => $register->register(
            'tern-220',
            null,
            'owner',
            OwnerChoice::named('Nora Quist', $contact),
            null,
        )->owner_id;
        $one = $named(null);
        self::assertSame($one, $named('0170 1'), 'the contact is learned');
        self::assertSame($one, $named('0170 1'));
        $two = $named('0170 2');
        self::assertNotSame($one, $two, 'another contact is another owner');
        self::assertNotContains($named(null), [$one, $two], 'two fit: nobody can say which');
    }

    public function test_an_owner_is_exported_whole_and_erased_on_request(): void
    {
        $machine = $this->machine('tern-220', 'owner');
        $owner = $machine->owner_id;
        $this->send(
            'PUT',
            "/owners/{$owner}",
            ['name' => 'Ines Halloran', 'company' => false, 'contact' => '0170 9', 'address' => 'Quay 4', 'notes' => 'rings back'],
        )->assertOk();
        $job = $this->job($machine);
        $this->send(
            'POST',
            "/jobs/{$job->id}/release",
            ['to' => 'unmended', 'note' => 'Spring was bent before', 'version' => $job->refresh()->version],
        )->assertOk();
        self::assertStringContainsString('Spring was bent before', (string) $this->getJson("/api/v1/owners/{$owner}")->json('told.0.text'));

        $export = $this->get("/files/owners/{$owner}.json")->assertOk();
        $export->assertJsonPath('owner.contact', '0170 9')
            ->assertJsonPath('machines.0.tag', $machine->tag)
            ->assertJsonPath('visits.0.complaint', 'It clicks');

        $picture = Photograph::query()->create([
            'job_id' => $job->id,
            'path' => 'photographs/a.jpg',
            'width' => 4,
            'height' => 3,
            'bytes' => 9,
            'person_id' => $this->person()->id,
            'at' => now(),
        ]);
        $this->getJson("/files/owners/{$owner}.json")
            ->assertJsonPath('visits.0.photographs', ["/files/photographs/{$picture->id}.jpg"]);
        $before = $machine->refresh()->page_key;
        $this->send('POST', "/owners/{$owner}/erase")->assertOk()->assertJsonPath('name', "erased owner {$owner}");
        $left = (string) json_encode(Owner::query()->get()->toArray());
        foreach (['Halloran', '0170', 'Quay 4', 'rings back'] as $word) {
            self::assertStringNotContainsString($word, $left);
        }
        $this->get("/o/{$before}")->assertNotFound();
        $this->getJson("/api/v1/machines/{$machine->tag}")->assertJsonPath('jobs.0.kind', 'repair');
        $this->assertRefused($this->send('PUT', "/owners/{$owner}", ['name' => 'X', 'company' => false]), 422, 'owner', 'erased');
    }

    public function test_whoever_only_looks_sees_no_contact_and_no_price(): void
    {
        $machine = $this->machine('tern-220', 'owner');
        Owner::query()->update(['contact' => '0170 9']);
        $bought = $this->app->make(RegisterMachine::class)->register('tern-220', null, 'resale', null, 9900);
        $part = $this->part();
        self::assertSame('0170 9', $this->getJson("/api/v1/machines/{$machine->tag}")->json('ownerContact'));
        self::assertSame(9900, $this->getJson("/api/v1/machines/{$bought->tag}")->json('pricePaidMinor'));

        $this->actingAs($this->person(Role::ReadOnly));
        foreach ([
            "/machines/{$machine->tag}",
            "/machines/{$bought->tag}",
            '/machines',
            '/parts',
            "/parts/{$part->number}",
            '/orders',
            '/spools',
            '/stocktakes',
        ] as $address) {
            $said = (string) $this->getJson("/api/v1{$address}")->assertOk()->getContent();
            self::assertStringNotContainsString('0170 9', $said, $address);
            self::assertDoesNotMatchRegularExpression('/"\w*Minor":\d/', $said, $address);
        }
        foreach ([
            '/api/v1/owners',
            "/api/v1/owners/{$machine->owner_id}",
            "/files/owners/{$machine->owner_id}.json",
            '/files/stock/stock.csv',
        ] as $address) {
            $this->getJson($address)->assertForbidden();
        }
        self::assertStringNotContainsString('0170 9', $this->get('/files/machines.csv')->streamedContent());
    }

    /**
     * @param  array<string, mixed>  $owner
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function add(array $owner): TestResponse
    {
        return $this->send('POST', '/machines', ['family' => 'tern-220', 'heldAs' => 'owner', ...$owner]);
    }
}
