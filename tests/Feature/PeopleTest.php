<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Hands;
use App\Intake\WorkSpell;
use App\Shop\Person;
use App\Shop\Role;
use App\Shop\Setting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Testing\TestResponse;

/** Who works here: added with a code, changed, reset, gone; what the shop has set; and the first visit to an empty one. */
final class PeopleTest extends BenchTestCase
{
    private const WORDS = 'kettle drum fox';

    public function test_somebody_added_sets_a_password_with_the_code_that_is_shown_once(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $added = $this->send('POST', '/people', ['login' => 'Nia', 'name' => 'Nia Farrow', 'role' => 'technician'])->assertOk();
        $code = (string) $added->json('code');
        self::assertMatchesRegularExpression('/^[A-Z0-9]{5}-[A-Z0-9]{5}$/', $code);
        self::assertSame('Nia Farrow', $added->json('codeFor'));
        self::assertNull($this->getJson('/api/v1/people')->json('code'));
        $nia = Person::query()->where('login', 'nia')->firstOrFail();
        self::assertStringNotContainsString(str_replace('-', '', $code), (string) $nia->getRawOriginal('code'), 'only its hash is kept');

        $this->out();
        $this->refusedCode(['login' => 'nia', 'code' => 'AAAAA-AAAAA', 'password' => self::WORDS], 'code');
        $this->refusedCode(['login' => 'nobody', 'code' => $code, 'password' => self::WORDS], 'code');
        $this->refusedCode(['login' => 'nia', 'code' => $code, 'password' => 'too short'], 'password');
        $this->refusedCode(['login' => 'nia', 'code' => $code, 'password' => 'nia farrow 1'], 'password');
        $this->withCode(['login' => 'NIA', 'code' => strtolower(str_replace('-', ' ', $code)), 'password' => self::WORDS])
            ->assertOk()
            ->assertJsonPath('person.name', 'Nia Farrow');
        self::assertTrue(Hash::check(self::WORDS, $nia->refresh()->getAuthPassword()));
        $this->out();
        $this->refusedCode(['login' => 'nia', 'code' => $code, 'password' => self::WORDS], 'code');
    }

    public function test_a_code_ends_after_two_days_and_with_the_next_one(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $person = $this->person();
        $first = (string) $this->send('POST', "/people/{$person->id}/code")->assertOk()->json('code');
        $second = (string) $this->send('POST', "/people/{$person->id}/code")->json('code');
        $this->out();
        $this->refusedCode(['login' => $person->login, 'code' => $first, 'password' => self::WORDS], 'code');
        $this->travel(49)->hours();
        $this->refusedCode(['login' => $person->login, 'code' => $second, 'password' => self::WORDS], 'code');
    }

    public function test_a_login_is_one_person_for_ever(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $gone = $this->person();
        $this->send('DELETE', "/people/{$gone->id}")->assertOk();
        $this->assertRefused(
            $this->send('POST', '/people', ['login' => strtoupper($gone->login), 'name' => 'Else', 'role' => 'counter']),
            422,
            'login',
            'who left',
        );
        $this->assertRefused(
            $this->send('POST', '/people', ['login' => 'a b', 'name' => 'Else', 'role' => 'counter']),
            422,
            'login',
            'without blanks',
        );
    }

    public function test_whoever_leaves_is_out_at_once_with_no_hands_on_anything(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $person = $this->person();
        $job = $this->job();
        $this->app->make(Hands::class)->on($job, $person);
        $this->loggedIn($person, 'one');
        $code = (string) $this->send('POST', "/people/{$person->id}/code")->json('code');
        $this->send('DELETE', "/people/{$person->id}")->assertOk();
        self::assertSame(0, DB::table('sessions')->where('user_id', $person->id)->count());
        self::assertNotNull(WorkSpell::query()->where('person_id', $person->id)->firstOrFail()->ended_at);
        $this->out();
        $this->refusedCode(['login' => $person->login, 'code' => $code, 'password' => self::WORDS], 'code');
        $this->postJson('/api/v1/session', ['login' => $person->login, 'password' => 'password'])->assertStatus(422);
    }

    public function test_a_new_role_or_password_ends_other_sessions_and_a_new_name_does_not(): void
    {
        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        $person = $this->person();
        $this->loggedIn($person, 'one');
        $this->send('PUT', "/people/{$person->id}", ['name' => 'Other Name', 'role' => 'technician'])->assertOk();
        self::assertSame(1, DB::table('sessions')->where('user_id', $person->id)->count());
        $this->send('PUT', "/people/{$person->id}", ['name' => 'Other Name', 'role' => 'counter'])->assertOk();
        self::assertSame(0, DB::table('sessions')->where('user_id', $person->id)->count());
        $this->loggedIn($lead, 'two');
        $lead->update(['password' => 'the old password']);
        $this->assertRefused(
            $this->send('PUT', '/session/password', ['current' => 'wrong', 'password' => self::WORDS]),
            422,
            'current',
            'not your password',
        );
        $this->send('PUT', '/session/password', ['current' => 'the old password', 'password' => self::WORDS])->assertOk();
        self::assertSame(0, DB::table('sessions')->where('user_id', $lead->id)->count());
    }

    public function test_a_shop_keeps_somebody_who_leads_it(): void
    {
        $lead = $this->person(Role::Lead);
        $this->actingAs($lead);
        $this->assertRefused($this->send('DELETE', "/people/{$lead->id}"), 409, 'role', 'only lead');
        $this->assertRefused(
            $this->send('PUT', "/people/{$lead->id}", ['name' => 'Still Here', 'role' => 'counter']),
            409,
            'role',
            'only lead',
        );
        $other = $this->person(Role::Lead);
        $this->send('PUT', "/people/{$other->id}", ['name' => 'Now Counter', 'role' => 'counter'])->assertOk();
        $this->assertRefused($this->send('DELETE', "/people/{$lead->id}"), 409, 'role', 'only lead');
    }

    public function test_mains_are_by_somebodys_word_and_until_a_day(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $person = $this->person();
        $body = ['name' => $person->name, 'role' => 'technician'];
        $this->assertRefused(
            $this->send('PUT', "/people/{$person->id}", $body + ['mainsUntil' => '2027-06-30']),
            422,
            'mainsBy',
            'Who says',
        );
        $this->assertRefused(
            $this->send('PUT', "/people/{$person->id}", $body + ['mainsBy' => 'the electrician']),
            422,
            'mainsUntil',
            'Until when',
        );
        $line = collect((array) $this->send(
            'PUT',
            "/people/{$person->id}",
            $body + ['mainsUntil' => '2027-06-30', 'mainsBy' => 'the electrician'],
        )
            ->assertOk()
            ->json('people'))->firstWhere('id', $person->id);
        self::assertSame(['2027-06-30', 'the electrician'], [$line['mainsUntil'], $line['mainsBy']]);
    }

    public function test_people_and_settings_are_a_leads_to_see_and_change(): void
    {
        foreach ([Role::Technician, Role::Counter, Role::ReadOnly] as $role) {
            $this->actingAs($me = $this->person($role));
            foreach ([
                ['GET', '/people'],
                ['GET', '/settings'],
                ['DELETE', "/people/{$me->id}"],
                ['POST', "/people/{$me->id}/code"],
            ] as [$method, $path]) {
                $this->send($method, $path)->assertStatus(403);
            }
            $this->send('POST', '/people', ['login' => 'nia', 'name' => 'Nia', 'role' => 'lead'])->assertStatus(403);
            $this->send('PUT', "/people/{$me->id}", ['name' => 'Me', 'role' => 'lead'])->assertStatus(403);
        }
    }

    public function test_settings_are_kept_and_bad_ones_refused_at_their_field(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $now = collect((array) $this->getJson('/api/v1/settings')->assertOk()->json())->except('zones')->all();
        $this->send('PUT', '/settings', ['shopName' => 'Quay Street', 'zone' => 'Europe/Lisbon', 'currency' => 'SEK', 'benchMinuteMinor' => 120,
            'orderMinutes' => 20, 'holdingPct' => 30] + $now)->assertOk()->assertJsonPath('zone', 'Europe/Lisbon');
        self::assertSame([120, 20, 30], [Setting::benchMinuteMinor(), Setting::whole('order_minutes'), Setting::whole('holding_pct')]);
        $this->getJson('/api/v1/session')->assertJsonPath('shopName', 'Quay Street')->assertJsonPath('currency', 'SEK');
        foreach ([
            'zone' => 'Europe/Nowhere',
            'currency' => 'euro',
            'holdingPct' => 0,
            'benchMinuteMinor' => 0,
            'warrantyDays' => 4000,
            'orderMinutes' => 481,
        ] as $field => $wrong) {
            $this->send('PUT', '/settings', [$field => $wrong] + $now)->assertStatus(422)->assertJsonPath('errors.0.field', $field);
        }
    }

    public function test_an_empty_shop_is_opened_once(): void
    {
        $this->getJson('/api/v1/session')->assertJsonPath('isNew', true);
        $first = ['shopName' => 'Quay Street', 'zone' => 'Europe/Lisbon', 'currency' => 'EUR', 'login' => 'Nia', 'name' => 'Nia Farrow'];
        $this->postJson('/api/v1/shop', $first + ['password' => 'quay street 1'])
            ->assertStatus(422)
            ->assertJsonPath('errors.0.field', 'password');
        self::assertSame(0, Person::query()->count(), 'nothing is half done');
        $this->postJson('/api/v1/shop', $first + ['password' => self::WORDS])->assertOk()
            ->assertJsonPath('person.isLead', true)
            ->assertJsonPath('shopName', 'Quay Street');
        $this->out();
        $this->getJson('/api/v1/session')->assertJsonPath('isNew', false);
        $this->postJson('/api/v1/shop', ['login' => 'other'] + $first + ['password' => self::WORDS])->assertStatus(409);
        self::assertSame(['nia'], Person::query()->pluck('login')->all());
    }

    private function out(): void
    {
        $this->send('DELETE', '/session')->assertOk();
        $this->flushSession();
        $this->app->make('auth')->forgetGuards();
    }

    /**
     * @param  array<string, string>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function withCode(array $body): TestResponse
    {
        $this->travel(2)->minutes();

        return $this->postJson('/api/v1/session/code', $body);
    }

    /** @param  array<string, string>  $body */
    private function refusedCode(array $body, string $field): void
    {
        $this->withCode($body)->assertStatus(422)->assertJsonPath('errors.0.field', $field);
        $this->assertGuest();
    }

    private function loggedIn(Person $person, string $id): void
    {
        DB::table('sessions')->insert(['id' => $id, 'user_id' => $person->id, 'payload' => '', 'last_activity' => now()->getTimestamp()]);
    }
}
