<?php

declare(strict_types=1);

namespace App\Carry\Http;

use App\Carry\CarryQuestion;
use App\Carry\ReadCarry;
use App\Carry\Setting;
use App\Lists\Models\KitList;
use App\Support\Http\Controller;
use Brick\Math\BigRational;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** How many to carry? */
final class CarryController extends Controller
{
    private const CHANCE = 'regex:/^0?\.(?!0+$)\d{1,4}$/D';

    #[OA\Get(path: '/how-many', operationId: 'readCarry', tags: ['assess'])]
    #[OA\Parameter(name: 'people', in: 'query', required: true, schema: new OA\Schema(type: 'integer', minimum: 1, maximum: 10000))]
    #[OA\Parameter(name: 'days', in: 'query', required: true, schema: new OA\Schema(type: 'integer', minimum: 1, maximum: 400))]
    #[OA\Parameter(name: 'each', in: 'query', required: true, schema: new OA\Schema(type: 'string', pattern: '^0?\\.(?!0+$)[0-9]{1,4}$'))]
    #[OA\Parameter(name: 'together', in: 'query', required: false, schema: new OA\Schema(type: 'string', pattern: '^0?\\.(?!0+$)[0-9]{1,4}$'))]
    #[OA\Parameter(name: 'covered', in: 'query', required: false, schema: new OA\Schema(type: 'integer', minimum: 1, maximum: 100000))]
    #[OA\Parameter(name: 'list', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'setting', in: 'query', required: false,
        schema: new OA\Schema(type: 'string', enum: ['workplace', 'school', 'sport', 'trip', 'event']),
    )]
    #[OA\Response(response: 200, description: 'Item by item', content: new OA\JsonContent(ref: CarryResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function show(Request $request, ReadCarry $read): JsonResponse
    {
        /**
         * @var array{
         *     people: int|string, days: int|string, each: string, together?: string, covered?: int|string, list?: string, setting?: string,
         * } $query
         */
        $query = $request->validate([
            'people' => ['required', 'integer', 'between:1,10000'],
            'days' => ['required', 'integer', 'between:1,400'],
            'each' => ['required', 'string', self::CHANCE],
            'together' => ['string', self::CHANCE],
            'covered' => ['integer', 'between:1,100000'],
            'list' => ['string', 'exists:lists,id'],
            'setting' => [Rule::enum(Setting::class)],
        ], [
            'people.*' => 'Enter for how many people, 1 to 10,000.',
            'days.*' => 'Enter for how many days, 1 to 400.',
            'each.*' => 'Enter a confidence above 0 and below 1, such as 0.95.',
            'together.*' => 'Enter a chance above 0 and below 1, such as 0.9.',
            'setting.*' => 'Choose a workplace, school, sport, trip or event.',
            'covered.*' => 'Enter how many people the records are of, 1 to 100,000.',
        ]);
        $number = static fn (string $text): BigRational => BigRational::of(str_starts_with($text, '.') ? "0{$text}" : $text);

        return $this->json($read(new CarryQuestion(
            (int) $query['people'], (int) $query['days'], Setting::from($query['setting'] ?? 'trip'), $number($query['each']),
            isset($query['together']) ? $number($query['together']) : null,
            isset($query['covered']) ? (int) $query['covered'] : null,
            isset($query['list'])
                ? KitList::query()->with(['lines.entries.item', 'lines.entries.limits', 'exclusions'])->findOrFail($query['list'])
                : null,
        )));
    }
}
