"""What the models' figures mean for this angler on this day: measures, proposals, remedies."""
