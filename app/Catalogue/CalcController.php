<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Ironwort\Core\Catalogue\JsonText;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Catalogue\UnknownCalculator;
use Ironwort\Core\Data\Source;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The calculators over HTTP, with the same input, answers and errors as on the command line. */
final class CalcController extends Controller
{
    public function __construct(private readonly Registry $registry) {}

    public function index(): Response
    {
        return $this->json(JsonText::list($this->registry));
    }

    public function run(Request $request, string $name): Response
    {
        try {
            $this->registry->named($name);
        } catch (UnknownCalculator $unknown) {
            throw new NotFoundHttpException($unknown->getMessage(), $unknown);
        }

        return $this->json(
            JsonText::result($this->registry->run($name, JsonText::object((string) $request->getContent()))),
        );
    }

    public function sources(Library $library): JsonResponse
    {
        return new JsonResponse(
            array_map(
                static fn(Source $source): array => [
                    'id' => $source->id,
                    'citation' => $source->citation,
                    'kind' => $source->kind,
                    'used_for' => $source->usedFor,
                ],
                $library->bibliography()->all(),
            ),
        );
    }

    private function json(string $text): Response
    {
        return response($text, 200, ['Content-Type' => 'application/json']);
    }
}
