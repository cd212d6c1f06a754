<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
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
