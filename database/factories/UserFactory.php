<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * Somebody who may do everything in a yard of their own; named after the address.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    public const PASSWORD = 'a long password';

    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'site_id' => SiteFactory::new(),
            'email' => 'owner@yard.example',
            'name' => static fn(array $told): string => ucfirst(
                (string) preg_replace('/[-@].*/', '', is_string($told['email']) ? $told['email'] : ''),
            ),
            'role' => Role::Owner,
            'password' => self::PASSWORD,
        ];
    }
}
