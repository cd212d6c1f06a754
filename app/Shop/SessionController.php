<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

final class SessionController
{
    public function show(): SessionView
    {
        return SessionView::for($this->person());
    }

    public function store(LoginRequest $request): SessionView
    {
        $login = mb_strtolower($request->string('login')->trim()->toString());
        if (! Auth::attempt(['login' => $login, 'password' => $request->string('password')->toString(), 'left_at' => null])) {
            throw ValidationException::withMessages(['login' => 'Login and password do not belong together. Capitals in the password count.']);
        }
        $request->session()->regenerate();

        return SessionView::for($this->person());
    }

    /** The first visit to an empty shop. */
    public function open(OpenShopRequest $request, OpenShop $open): SessionView
    {
        $text = static fn (string $key): string => $request->string($key)->trim()->toString();
        $person = $open->open(
            $text('shopName'),
            $text('zone'),
            $text('currency'),
            $text('login'),
            $text('name'),
            $request->string('password')->toString(),
        );
        Auth::login($person);
        $request->session()->regenerate();

        return SessionView::for($this->person());
    }

    /** A password is set with the code a lead handed over. */
    public function code(CodeRequest $request, Passwords $passwords): SessionView
    {
        $login = mb_strtolower($request->string('login')->trim()->toString());
        $person = Person::query()->where('login', $login)->first();
        if (! Code::fits($person, $request->string('code')->toString())) {
            throw ValidationException::withMessages([
                'code' => 'Login and code do not belong together, or the code is used or older than two days. A lead gives you a new one.',
            ]);
        }
        $passwords->set($person, $request->string('password')->toString(), null);
        Auth::login($person);
        $request->session()->regenerate();

        return SessionView::for($this->person());
    }

    /** An own password; whoever is logged in elsewhere under this name is so no longer. */
    public function password(PasswordRequest $request, Passwords $passwords): SessionView
    {
        $person = Here::person();
        if (! Hash::check($request->string('current')->toString(), $person->getAuthPassword())) {
            throw ValidationException::withMessages(['current' => 'This is not your password. Capitals count.']);
        }
        $passwords->set($person, $request->string('password')->toString(), $request->session()->getId());

        return SessionView::for($this->person());
    }

    public function destroy(Request $request): SessionView
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return SessionView::for(null);
    }

    private function person(): ?Person
    {
        $person = Auth::user();

        return $person instanceof Person ? $person : null;
    }
}
