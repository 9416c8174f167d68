<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The school one system follows in one topic; or, where it names no system, all systems of the site that choose none.
 *
 * @property string $topic
 * @property string $school
 * @property ?string $reason
 */
final class SchoolChoice extends Part {}
