<?php

declare(strict_types=1);

namespace App\Api;

use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Nasturtium')]
final class Document {}
