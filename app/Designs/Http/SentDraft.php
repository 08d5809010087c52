<?php

declare(strict_types=1);

namespace App\Designs\Http;

use App\Designs\Draft\Draft;
use App\Designs\Draft\DraftCompartment;
use App\Designs\Draft\DraftConfiguration;
use App\Designs\Draft\DraftEntry;
use App\Designs\Draft\DraftLine;
use App\Designs\Draft\DraftPlacement;
use App\Designs\Draft\DraftPolicy;
use App\Designs\Draft\SetAside;
use App\Lists\Http\SoundEntries;
use App\Lists\LineContent;
use App\Lists\ListContent;
use App\Lists\UnsoundList;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\ExpiryPolicy;

#[OA\Schema(required: ['draft'], properties: [
    new OA\Property(property: 'design', type: 'string', nullable: true, description: 'null: a new one'),
    new OA\Property(property: 'base', type: 'string', nullable: true, description: 'the edition that it was begun from'),
    new OA\Property(property: 'name', type: 'string', description: 'of the design'),
    new OA\Property(property: 'serves', type: 'string', nullable: true, description: 'of a new one: the risk that a module of it is for'),
    new OA\Property(property: 'draft', ref: Draft::class),
])]
final class SentDraft extends FormRequest
{
    use KnownKeys;

    private const ULID = 'regex:/^[0-9A-HJKMNP-TV-Za-hjkmnp-tv-z]{26}$/';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'design' => ['nullable', 'string', self::ULID],
            'base' => ['nullable', 'string', self::ULID],
            'name' => ['string', 'max:120'],
            'serves' => ['nullable', 'string', 'max:30'],
            'draft' => ['required', 'array'],
            'draft.list_id' => ['bail', 'required', 'string', 'exists:lists,id'],
            ...self::policy(),
            'draft.modules' => ['present', 'array', 'max:20'],
            'draft.modules.*' => ['string', 'max:30', 'distinct'],
            'draft.seasons' => ['present', 'array', 'max:12'],
            'draft.seasons.*' => ['string', 'regex:/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/', 'distinct'],
            ...self::compartments(),
            'draft.placements' => ['present', 'array', 'max:300'],
            'draft.placements.*.line' => ['required', 'string', 'max:20'],
            'draft.placements.*.compartment' => ['required', 'string', self::ULID],
            'draft.placements.*.quantity' => ['nullable', 'integer:strict', 'between:1,100000'],
            'draft.placements.*.from_day' => ['nullable', 'date_format:Y-m-d'],
            'draft.placements.*.waits_for' => ['nullable', 'string', 'max:120'],
            'draft.additions' => ['present', 'array', 'max:150'],
            'draft.additions.*.code' => ['required', 'string', 'max:20', 'regex:/^[A-Za-z0-9_-]+$/', 'distinct'],
            'draft.additions.*.need' => ['required', 'string', 'max:160'],
            'draft.additions.*.rank' => ['required', 'in:critical,required,optional'],
            'draft.additions.*.quantity' => [
                'nullable', 'integer:strict', 'between:1,100000', 'required_without:draft.additions.*.total_quantity',
                'prohibits:draft.additions.*.total_quantity',
            ],
            'draft.additions.*.total_measure' => [
                'nullable', 'string', 'regex:/^[a-z][a-z_]{0,29}$/', 'required_with:draft.additions.*.total_quantity',
            ],
            'draft.additions.*.total_quantity' => ['nullable', 'string', 'max:40'],
            'draft.additions.*.accepts' => ['bail', 'required', 'array', 'min:1', 'max:30', new SoundEntries],
            'draft.additions.*.reason' => ['nullable', 'string', 'max:200'],
            'draft.additions.*.anyone_may_use' => ['boolean:strict'],
            'draft.configurations' => ['present', 'array', 'max:12'],
            'draft.configurations.*.name' => ['required', 'string', 'max:60'],
            'draft.configurations.*.lines' => ['present', 'array', 'max:150'],
            'draft.configurations.*.lines.*' => ['string', 'max:20'],
            'draft.configurations.*.slots' => ['present', 'array', 'max:30'],
            'draft.configurations.*.slots.*' => ['string', self::ULID],
            'draft.set_aside' => ['present', 'array', 'max:150'],
            'draft.set_aside.*.about' => ['required', 'string', 'max:300', 'regex:/^[\x20-\x7e]+$/', 'distinct'],
            'draft.set_aside.*.reason' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function policy(): array
    {
        return [
            'draft.policy' => ['required', 'array'],
            'draft.policy.empty_mass_g' => ['nullable', 'integer:strict', 'between:0,100000'],
            'draft.policy.max_mass_g' => ['nullable', 'integer:strict', 'between:1,1000000'],
            'draft.policy.max_volume_ml' => ['nullable', 'integer:strict', 'between:1,10000000'],
            'draft.policy.max_cost' => ['nullable', 'integer:strict', 'between:1,1000000000'],
            'draft.policy.expiry' => ['required', Rule::enum(ExpiryPolicy::class)],
            'draft.policy.margin_days' => ['required', 'integer:strict', 'between:0,365'],
            'draft.policy.grace_days' => ['required', 'integer:strict', 'between:0,90'],
            'draft.policy.not_ready_after_days' => ['nullable', 'integer:strict', 'between:0,3650'],
            'draft.policy.every_unit' => ['nullable', Rule::in(['days', 'weeks', 'months'])],
            'draft.policy.every_count' => ['nullable', 'required_with:draft.policy.every_unit', 'integer:strict', 'between:1,120'],
            'draft.policy.before_events' => ['required', 'boolean:strict'],
            'draft.policy.after_use' => ['required', 'boolean:strict'],
            'draft.policy.sealed' => ['required', 'boolean:strict'],
            'draft.policy.latex_free' => ['required', 'boolean:strict'],
            'draft.policy.wrappers' => ['nullable', 'in:off,on'],
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function compartments(): array
    {
        return [
            'draft.compartments' => ['present', 'array', 'max:60'],
            'draft.compartments.*.id' => ['required', 'string', self::ULID, 'distinct:ignore_case'],
            'draft.compartments.*.parent_id' => ['nullable', 'string', self::ULID],
            'draft.compartments.*.kind' => ['required', 'in:leaf,pocket,pouch,slot'],
            'draft.compartments.*.name' => ['required', 'string', 'max:60', 'not_regex:/[,>]/'],
            'draft.compartments.*.row' => ['required', 'integer:strict', 'between:1,30'],
            'draft.compartments.*.column' => ['required', 'integer:strict', 'between:1,12'],
            'draft.compartments.*.row_span' => ['required', 'integer:strict', 'between:1,12'],
            'draft.compartments.*.column_span' => ['required', 'integer:strict', 'between:1,12'],
            'draft.compartments.*.closure' => ['nullable', 'in:zip,buckle,flap,lid,drawstring'],
            'draft.compartments.*.outside' => ['required', 'boolean:strict'],
            'draft.compartments.*.sealed' => ['required', 'boolean:strict'],
            'draft.compartments.*.caution' => ['nullable', 'string', 'max:200'],
            'draft.compartments.*.properties' => ['present', 'array', 'max:6'],
            'draft.compartments.*.properties.*' => ['in:heavy_when_open,sharps,waterproof,rigid,exposed_to_rain,take_first'],
            'draft.compartments.*.slot_design' => ['nullable', 'string', 'max:60'],
            'draft.compartments.*.max_mass_g' => ['nullable', 'integer:strict', 'between:1,1000000'],
            'draft.compartments.*.volume_ml' => ['nullable', 'integer:strict', 'between:1,1000000'],
            'draft.compartments.*.looked_for' => ['present', 'array', 'max:20'],
            'draft.compartments.*.looked_for.*' => ['string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the design a name, such as "Office box", in at most 120 characters.',
            'draft.list_id.*' => 'Choose a list.',
            'draft.policy.empty_mass_g.*' => 'Enter the weight of the empty bag in whole grams, up to 100,000, or leave it out.',
            'draft.policy.max_mass_g.*' => 'Enter the maximum weight in whole grams, up to 1,000,000, or leave it out.',
            'draft.policy.max_volume_ml.*' => 'The limit of volume in whole millilitres, or nothing.',
            'draft.policy.max_cost.*' => 'The limit of cost, or nothing.',
            'draft.policy.margin_days.*' => 'Days beyond the next check: 0 to 365.',
            'draft.policy.grace_days.*' => 'Days before a check is overdue: 0 to 90.',
            'draft.policy.not_ready_after_days.*' => 'Days after which an overdue kit is not ready: 0 to 3,650, or nothing for its interval.',
            'draft.policy.every_count.*' => 'From one check to the next: 1 to 120 days, weeks or months.',
            'draft.compartments.max' => 'A design has at most 30 pockets, in at most 30 parts. Join some of them.',
            'draft.compartments.*.name.*' => 'Each part and each pocket has a name of at most 60 characters, without a comma and without ">".',
            'draft.compartments.*.max_mass_g.*' => 'Enter the maximum weight of a pocket in whole grams, or leave it out.',
            'draft.compartments.*.volume_ml.*' => 'What a pocket holds in whole millilitres, or nothing.',
            'draft.compartments.*.caution.*' => 'A caution has at most 200 characters.',
            'draft.additions.*.need.*' => 'Say what the added line is needed for, such as Eye wash at hand.',
            'draft.additions.*.quantity.*' => 'Enter how many pieces the added line asks for, 1 or more.',
            'draft.additions.*.accepts.required' => 'Choose the item that serves the added line.',
            'draft.configurations.*.name.*' => 'Give the configuration a name, such as Lantern evening.',
            'draft.set_aside.*.reason.*' => 'Say why the advice is set aside, in at most 200 characters.',
            'draft.placements.*.waits_for.*' => 'Say in at most 120 characters what the line waits for.',
        ];
    }

    /** @return list<string> */
    protected function lookAfterTheirOwn(): array
    {
        return ['draft.additions.*.accepts'];
    }

    /** @throws ValidationException where compartments lie in each other, or in what is not there, and where an added line is unsound */
    public function draft(): Draft
    {
        /** @var array{draft: array<string, mixed>} $valid */
        $valid = $this->validated();
        /**
         * @var array{
         *     list_id: string, policy: array<string, mixed>, modules: list<string>, seasons: list<string>,
         *     compartments: list<array<string, mixed>>, placements: list<array<string, mixed>>, additions: list<array<string, mixed>>,
         *     configurations: list<array<string, mixed>>, set_aside: list<array<string, mixed>>,
         * } $draft
         */
        $draft = $valid['draft'];
        $compartments = array_map(self::compartment(...), array_values($draft['compartments']));
        self::refuseLoose($compartments);
        $additions = array_map(self::line(...), array_values($draft['additions']));
        $this->container->make(UnsoundList::class)->refuse(new ListContent(
            '', null, '', [], array_map(static fn (DraftLine $line): LineContent => $line->content(), $additions),
        ), 'draft.', 'additions');

        return new Draft(
            strtolower($draft['list_id']),
            new DraftPolicy(...[
                'empty_mass_g' => null, 'max_mass_g' => null,
                'max_volume_ml' => null, 'max_cost' => null, 'every_unit' => null, 'every_count' => null, 'wrappers' => null,
                'not_ready_after_days' => null,
                ...$draft['policy'],
            ]),
            array_values($draft['modules']), array_values($draft['seasons']), $compartments,
            array_map(static fn (array $one): DraftPlacement => new DraftPlacement(...[
                'quantity' => null, 'from_day' => null, 'waits_for' => null, ...$one, 'compartment' => self::id($one['compartment']),
            ]), array_values($draft['placements'])),
            $additions,
            array_map(static fn (array $one): DraftConfiguration => new DraftConfiguration(...[
                ...$one, 'slots' => array_map(self::id(...), (array) $one['slots']),
            ]), array_values($draft['configurations'])),
            array_map(static fn (array $one): SetAside => new SetAside(...$one), array_values($draft['set_aside'])),
        );
    }

    public function name(): string
    {
        return trim($this->string('name')->value());
    }

    public function base(): ?string
    {
        return $this->validated('base') === null ? null : self::id($this->validated('base'));
    }

    public function designId(): ?string
    {
        return $this->validated('design') === null ? null : self::id($this->validated('design'));
    }

    public function serves(): ?string
    {
        return $this->string('serves')->value() ?: null;
    }

    private static function id(mixed $id): string
    {
        return is_string($id) ? strtolower($id) : '';
    }

    /** @param  array<string, mixed>  $one */
    private static function compartment(array $one): DraftCompartment
    {
        return new DraftCompartment(...[
            'parent_id' => null, 'closure' => null, 'caution' => null, 'slot_design' => null, 'max_mass_g' => null, 'volume_ml' => null, ...$one,
            'id' => self::id($one['id']), ...(isset($one['parent_id']) ? ['parent_id' => self::id($one['parent_id'])] : []),
        ]);
    }

    /** @param  array<string, mixed>  $one */
    private static function line(array $one): DraftLine
    {
        /**
         * @var list<array{
         *     item?: string|null, class?: string|null, minima?: list<array{measure: string, quantity: string}>,
         *     maxima?: list<array{measure: string, quantity: string}>,
         * }> $accepts
         */
        $accepts = $one['accepts'];

        return new DraftLine(...[
            'quantity' => null, 'total_measure' => null, 'total_quantity' => null, 'reason' => null, 'anyone_may_use' => false, ...$one,
            'accepts' => array_map(static fn (array $entry): DraftEntry => new DraftEntry(
                ($entry['item'] ?? null) ?: null, ($entry['class'] ?? null) ?: null, $entry['minima'] ?? [], $entry['maxima'] ?? [],
            ), array_values($accepts)),
        ]);
    }

    /** @param  list<DraftCompartment>  $compartments */
    private static function refuseLoose(array $compartments): void
    {
        $reached = [];
        do {
            $before = count($reached);
            foreach ($compartments as $one) {
                if ($one->parent_id === null || isset($reached[$one->parent_id])) {
                    $reached[$one->id] = true;
                }
            }
        } while (count($reached) > $before);
        foreach ($compartments as $index => $one) {
            if (! isset($reached[$one->id])) {
                throw ValidationException::withMessages([
                    "draft.compartments.{$index}.parent_id" => "{$one->name} lies in nothing that is there. Put it into a part of the kit.",
                ]);
            }
            if (($one->kind === 'leaf') !== ($one->parent_id === null)) {
                throw ValidationException::withMessages([
                    "draft.compartments.{$index}.kind" => "{$one->name}: a part of the kit lies in nothing, and everything else lies in one.",
                ]);
            }
        }
    }
}
