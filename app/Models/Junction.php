<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Where lines of a loop meet.
 *
 * @property string $name
 * @property int $position
 */
final class Junction extends Part {}
