<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/** The equations do not decide every unknown. */
final class SingularMatrix extends \RuntimeException {}
