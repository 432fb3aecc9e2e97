import 'package:flutter/material.dart';

/// A thing somebody has seen.
class PierFind extends StatelessWidget {
  const PierFind(
    this.species, {
    super.key,
    required this.place,
    required this.time,
    this.isRare = false,
  });

  final String species;
  final String place;
  final String time;
  final bool isRare;

  @override
  Widget build(BuildContext context) {
    return Row(
      children: [
        Text(species),
        Text(place),
        if (isRare) const Text('Rare'),
        Text(time),
      ],
    );
  }
}
