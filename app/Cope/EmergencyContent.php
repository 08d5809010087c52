<?php

declare(strict_types=1);

namespace App\Cope;

use Sarcina\Core\Format\CopeReader;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\Reader;
use Sarcina\Core\Kit\Scope;

/** An emergency as it is written: its title, who may deal with it, what it rests on, and its needs. */
final readonly class EmergencyContent
{
    /**
     * @param  list<NeedContent>  $needs  of one casualty
     * @param  int  $helpers  who deal with one casualty
     */
    public function __construct(
        public string $title,
        public Scope $scope,
        public string $basis,
        public array $needs,
        public int $helpers = 1,
    ) {
    }

    /**
     * As the core reads it.
     *
     * @throws InvalidDocument at what the core refuses
     */
    public function asked(string $code): \Sarcina\Core\Cope\Emergency
    {
        $root = Reader::of(Json::read(Json::write(['emergencies' => [[
            'code' => $code, 'scope' => $this->scope->value,
            'needs' => array_map(static fn (NeedContent $need): array => $need->asked(), $this->needs),
        ]]])));
        $read = CopeReader::emergencies($root->field('emergencies'));
        $root->finish();

        return $read[0];
    }
}
