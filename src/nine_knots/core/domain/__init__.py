"""What leader builders work with and how they tie: materials, knots, tackle, leaders, schools."""
