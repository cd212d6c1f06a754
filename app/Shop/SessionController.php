<?php

declare(strict_types=1);

namespace App\Shop;

use App\Api\Form;
use App\Shop\Tablets\PinRequest;
use App\Shop\Tablets\Pins;
use App\Shop\Tablets\Sitting;
use App\Shop\Tablets\TakeOverRequest;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

final class SessionController
{
    public function show(Request $request): SessionView
    {
        return $this->now($request);
    }

    public function store(LoginRequest $request): SessionView
    {
        $login = mb_strtolower($request->string('login')->trim()->toString());
        LoginTries::count($request, $login);
        $person = Person::query()->where('login', $login)->whereNull('left_at')->first();
        // it takes as long when nobody is of that login
        if (! Hash::check($request->string('password')->toString(), $person?->getAuthPassword() ?? Code::nobodys()) || $person === null) {
            throw ValidationException::withMessages(['login' => 'Login and password do not belong together. Capitals in the password count.']);
        }
        LoginTries::right($request, $login);

        return $this->begin($request, $person);
    }

    /** On a shared tablet: somebody else is there now, with a PIN. */
    public function takeOver(TakeOverRequest $request): SessionView
    {
        $sitting = $this->sitting($request);
        if (! $sitting->isShared()) {
            throw ValidationException::withMessages(
                ['pin' => 'A PIN opens only a shared tablet that a password has opened within twelve hours. Log in with the password.'],
            );
        }
        $sitting->passTo(Pins::check(
            Person::query()->whereNull('left_at')->find($request->integer('person')),
            $request->string('pin')->toString(),
        ));

        return $this->now($request);
    }

    /** On a shared tablet: nobody is there any more; on any other, whoever was there is logged out. */
    public function lock(Request $request): SessionView
    {
        $sitting = $this->sitting($request);
        $sitting->isShared() ? $sitting->lock() : $sitting->end();

        return $this->now($request);
    }

    /** The first visit to an empty shop. */
    public function open(OpenShopRequest $request, OpenShop $open): SessionView
    {
        $text = static fn (string $key): string => $request->string($key)->trim()->toString();

        return $this->begin($request, $open->open(
            $text('shopName'),
            $text('zone'),
            $text('currency'),
            $text('login'),
            $text('name'),
            $request->string('password')->toString(),
        ));
    }

    /** A password is set with the code a lead handed over. */
    public function code(CodeRequest $request, Passwords $passwords): SessionView
    {
        $login = mb_strtolower($request->string('login')->trim()->toString());
        LoginTries::count($request, $login);
        $person = Person::query()->where('login', $login)->first();
        if (! Code::fits($person, $request->string('code')->toString()) || $person === null) {
            throw ValidationException::withMessages([
                'code' => 'Login and code do not belong together, or the code is used or older than two days. A lead gives you a new one.',
            ]);
        }
        $passwords->set($person, $request->string('password')->toString(), null);
        LoginTries::right($request, $login);

        return $this->begin($request, $person);
    }

    /** An own password; whoever is logged in elsewhere under this name is so no longer. */
    public function password(PasswordRequest $request, Passwords $passwords): SessionView
    {
        $person = $this->withPassword($request);
        $passwords->set($person, $request->string('password')->toString(), $request->session()->getId());

        return $this->now($request);
    }

    public function pin(PinRequest $request): SessionView
    {
        Pins::set($this->withPassword($request), $request->string('pin')->toString());

        return $this->now($request);
    }

    public function destroy(Request $request): SessionView
    {
        $this->sitting($request)->end();

        return $this->now($request);
    }

    /** Whoever is here and has just said the own password once more. */
    private function withPassword(Form $request): Person
    {
        $person = Here::person();
        LoginTries::count($request, $person->login);
        if (! Hash::check($request->string('current')->toString(), $person->getAuthPassword())) {
            throw ValidationException::withMessages(['current' => 'This is not your password. Capitals count.']);
        }
        LoginTries::right($request, $person->login);

        return $person;
    }

    private function begin(Form $request, Person $person): SessionView
    {
        $this->sitting($request)->begin($person, $request->boolean('shared'));

        return $this->now($request);
    }

    private function now(Request $request): SessionView
    {
        $person = Auth::user();

        return SessionView::for($person instanceof Person ? $person : null, $this->sitting($request)->isShared());
    }

    private function sitting(Request $request): Sitting
    {
        return new Sitting($request->session());
    }
}
