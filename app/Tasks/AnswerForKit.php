<?php

declare(strict_types=1);

namespace App\Tasks;

use App\Accounts\Models\User;
use App\Kits\Models\Kit;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/** Says who is responsible for a kit, and who is while they are away. */
final class AnswerForKit
{
    public function __invoke(Kit $kit, ?string $responsibleId, ?string $deputyId): void
    {
        Transaction::run(function () use ($kit, $responsibleId, $deputyId): void {
            $kit = Kit::query()->where('id', $kit->id)->lockForUpdate()->firstOrFail();
            $kit->refuseRetired();
            if ($deputyId !== null && $deputyId === $responsibleId) {
                throw ValidationException::withMessages(['deputy_id' => 'The deputy is somebody else than the responsible person.']);
            }
            foreach (['responsible_id' => $responsibleId, 'deputy_id' => $deputyId] as $field => $id) {
                $user = $id === null ? null : User::query()->findOrFail($id);
                if ($user !== null && (! $user->isActive() || ! $user->role->keeps())) {
                    throw ValidationException::withMessages([$field => "{$user->name} may not work on kits. Choose a lead or a keeper."]);
                }
            }
            $kit->forceFill(['responsible_id' => $responsibleId, 'deputy_id' => $deputyId])->save();
        });
    }
}
