<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Scripts show a token: whose it is, what it may, and until when. */
final class TokensTest extends BenchTestCase
{
    public function test_a_script_may_what_it_was_given_and_nothing_is_signed_by_it(): void
    {
        $bo = $this->person();
        $this->part();
        $machine = $this->machine();
        $token = $this->token($bo, ['bookIn']);
        self::assertStringStartsWith('ob_', explode('|', $token)[1]);
        $this->by($token, 'GET', '/bench')->assertOk();
        $job = $this->by(
            $token,
            'POST',
            '/jobs',
            ['tag' => $machine->tag, 'kind' => 'repair', 'complaint' => 'It clicks', 'began' => 'crept-in'],
        )
            ->assertOk()
            ->json('id');
        $this->by($token, 'POST', "/jobs/{$job}/red-tag", ['reason' => 'Smells of burning'])
            ->assertForbidden()
            ->assertSee('not given that right');
        $this->by($token, 'POST', "/jobs/{$job}/release", ['to' => 'donor', 'version' => 1])->assertForbidden()->assertSee('signs nothing');
        $this->by($token, 'GET', '/people')->assertForbidden();
        $this->by($token, 'POST', '/tokens', ['name' => 'more', 'person' => $bo->id, 'rights' => [], 'days' => 1])->assertForbidden();
        // a right of the token is no right its person has not
        $looks = $this->token($this->person(Role::ReadOnly), ['bookIn']);
        $this->by(
            $looks,
            'POST',
            '/jobs',
            ['tag' => $machine->tag, 'kind' => 'repair', 'complaint' => 'x', 'began' => 'crept-in'],
        )->assertForbidden();
    }

    public function test_it_ends_with_its_day_with_its_person_and_when_it_is_taken_away(): void
    {
        $bo = $this->person();
        $token = $this->token($bo, [], 2);
        $this->by($token, 'GET', '/bench')->assertOk();
        $this->travel(49)->hours();
        $this->by($token, 'GET', '/bench')->assertStatus(401);
        $this->travelBack();

        $taken = $this->token($bo, []);
        $this->asLead()->send('DELETE', '/tokens/'.explode('|', $taken)[0])->assertOk();
        $this->by($taken, 'GET', '/bench')->assertStatus(401);

        $gone = $this->token($bo, []);
        $this->asLead()->send('DELETE', "/people/{$bo->id}")->assertOk();
        $this->by($gone, 'GET', '/bench')->assertStatus(401);
        foreach (['nonsense', '1|nonsense', '999999|ob_x'] as $none) {
            $this->by($none, 'GET', '/bench')->assertStatus(401);
        }
    }

    public function test_only_rights_that_sign_nothing_are_given(): void
    {
        $bo = $this->person();
        foreach (['countersign', 'runShop', 'sendOut', '*'] as $right) {
            $this->asLead()
                ->send('POST', '/tokens', ['name' => 'x', 'person' => $bo->id, 'rights' => [$right], 'days' => 1])
                ->assertStatus(422);
        }
        $this->asLead()->send('POST', '/tokens', ['name' => 'x', 'person' => $bo->id, 'rights' => [], 'days' => 731])->assertStatus(422);
    }

    public function test_a_cookie_beside_it_makes_no_difference_and_the_description_is_served(): void
    {
        $this->actingAs($this->person(Role::Lead));
        $paths = (array) $this->getJson('/files/api.json')->assertOk()->json('paths');
        self::assertArrayHasKey('/bench', $paths);
        // as `up` serves it: routes are worked out beforehand, and what is a function among them has become text
        $router = $this->app->make('router');
        foreach ($router->getRoutes()->getRoutes() as $route) {
            $route->prepareForSerialization();
        }
        $router->setCompiledRoutes($router->getRoutes()->compile());
        self::assertSame($paths, $this->getJson('/files/api.json')->assertOk()->json('paths'));
        $token = $this->token($this->person(Role::ReadOnly), []);
        $this->by($token, 'GET', '/people')->assertForbidden();
    }

    public function test_what_is_shown_once_is_kept_nowhere(): void
    {
        $key = (string) Str::uuid();
        $this->actingAs($this->person(Role::Lead));
        $body = ['name' => 'x', 'person' => $this->person()->id, 'rights' => [], 'days' => 1];
        $token = (string) $this->send('POST', '/tokens', $body, $key)->assertOk()->json('token');
        self::assertStringContainsString('ob_', $token);
        self::assertNull($this->send('POST', '/tokens', $body, $key)->assertOk()->json('token'));
        $code = (string) $this->send('POST', '/people', ['login' => 'nia', 'name' => 'Nia', 'role' => 'counter'])->assertOk()->json('code');
        $kept = (string) json_encode(DB::table('once_keys')->pluck('body')->all());
        self::assertStringNotContainsString(explode('|', $token)[1], $kept);
        self::assertStringNotContainsString($code, $kept);
    }

    /** @param  list<string>  $rights */
    private function token(Person $person, array $rights, int $days = 30): string
    {
        return (string) $this->asLead()->send(
            'POST',
            '/tokens',
            ['name' => 'Nightly list', 'person' => $person->id, 'rights' => $rights, 'days' => $days],
        )
            ->assertOk()->json('token');
    }

    private function asLead(): self
    {
        $this->app->make('auth')->forgetGuards();
        $this->actingAs($this->person(Role::Lead));

        return $this;
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function by(string $token, string $method, string $path, array $body = []): TestResponse
    {
        $this->app->make('auth')->forgetGuards();

        return $this->json(
            $method,
            "/api/v1{$path}",
            $body,
            ['Authorization' => "Bearer {$token}", 'Idempotency-Key' => (string) Str::uuid()],
        );
    }
}
