<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, for all machines of an instance. One that only goes on is written once a minute at most. */
final class SharedSessions extends DatabaseSessionHandler
{
    private const WRITTEN_EVERY_SECONDS = 60;

    /** @var array<string, array{string, int}> what was read by session, and when that was written */
    private array $readAs = [];

    public function read($sessionId): string
    {
        $session = (object) $this->getQuery()->find($sessionId);
        if ($this->expired($session)) {
            $this->exists = true;

            return '';
        }
        if (! isset($session->payload)) {
            return '';
        }
        $this->exists = true;
        $payload = (string) base64_decode($session->payload, true);
        $this->readAs[$sessionId] = [$payload, (int) $session->last_activity];

        return $payload;
    }

    public function write($sessionId, $data): bool
    {
        [$payload, $writtenAt] = $this->readAs[$sessionId] ?? [null, 0];
        if ($payload === $data && $this->currentTime() - $writtenAt < self::WRITTEN_EVERY_SECONDS) {
            return true;
        }

        return parent::write($sessionId, $data);
    }
}
