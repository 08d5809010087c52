<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Support\Transaction;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The first of all: the organisation and its first lead, and where it is wanted the catalogue of generic items with the starter lists. */
final class SetUpOrganisation
{
    private const SEEDER = 'Database\\Seeders\\ReferenceSeeder';

    public function __construct(private readonly SetupCode $code)
    {
    }

    /** @param  array<string, string|int>  $organisation  its columns */
    public function __invoke(array $organisation, string $name, string $email, string $password, bool $withCatalogue): User
    {
        return Transaction::run(function () use ($organisation, $name, $email, $password, $withCatalogue): User {
            // Two who set it up at once: one of them finds it done.
            DB::table('setup_codes')->lockForUpdate()->get();
            if (! SetupCode::isOpen()) {
                throw ValidationException::withMessages([
                    'code' => 'The organisation is set up already. Sign in, or ask its lead for an invitation.',
                ]);
            }
            Organisation::query()->create($organisation);
            app()->forgetScopedInstances();
            $lead = User::query()->create(['name' => $name, 'email' => $email, 'password' => $password, 'role' => Role::Lead]);
            if ($withCatalogue) {
                Artisan::call('db:seed', ['--class' => self::SEEDER, '--force' => true]);
            }
            $this->code->close();

            return $lead;
        });
    }
}
