"""What everything stands on: values, errors, units, measures. No mechanics, no trade."""
